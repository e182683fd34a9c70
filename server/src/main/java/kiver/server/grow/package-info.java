/** Batches on their way: how they stand, when they will be ready, and moving them between places. */
package kiver.server.grow;
