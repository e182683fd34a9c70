/** The season at the desk: the board of batches, drafts, undoing, rescheduling, seed needs, sheets for the wall. */
package kiver.server.season;
