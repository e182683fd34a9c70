/** The library of crops and containers: what each kind of plant needs and how it behaves, with where that is from. */
package kiver.core.crop;
