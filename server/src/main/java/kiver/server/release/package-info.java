/** Releasing plants to growers, with the note that goes with them, and how each order stands. */
package kiver.server.release;
