/** The round: what is to be done today at each place, and what is late or at risk. */
package kiver.core.today;
