/** What was read from the database and is kept in memory, and when it may be. */
package kiver.server.kept;
