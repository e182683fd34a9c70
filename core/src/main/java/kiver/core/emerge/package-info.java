/** Watching emergence: what was to be expected, what was counted, and what to make of the difference. */
package kiver.core.emerge;
