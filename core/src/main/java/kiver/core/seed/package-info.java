/** Seed lots: how likely a seed is to come up, what that rests on, and how counts change it. */
package kiver.core.seed;
