/** Which trays want water, and who is fed: what was done and seen of it against what the core makes of it. */
package kiver.server.water;
