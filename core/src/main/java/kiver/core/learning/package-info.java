/**
 * Looking back. Here will live what a nursery's own years teach of crops, places and lots, and whether stated chances and
 * bands came true. Until then counts teach a lot its germination, beside sowing.
 */
package kiver.core.learning;
