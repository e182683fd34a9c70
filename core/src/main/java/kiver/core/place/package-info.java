/** The houses, benches, mats and frames of the nursery, and how warm and light it is in each on a day. */
package kiver.core.place;
