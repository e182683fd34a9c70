/** Room on benches through the season: occupancy, what is over-full, assigning all batches at once. */
package kiver.server.space;
