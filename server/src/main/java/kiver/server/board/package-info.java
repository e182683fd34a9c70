/** The season at the desk: the board of batches, trying, changing, undoing, and drafts. */
package kiver.server.board;
