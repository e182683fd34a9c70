/** Room on benches through the season: what a batch takes and when, what is over-full, and who goes where. */
package kiver.core.space;
