/** Seed lots in the store: what their labels say and how many seeds are left. */
package kiver.server.seed;
