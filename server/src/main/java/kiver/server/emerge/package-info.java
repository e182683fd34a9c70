/** Counting seedlings and recording losses. */
package kiver.server.emerge;
