/**
 * What is in the store. {@link kiver.core.stock.MixStore} holds mix and its ingredients against what the plan asks for. Seed
 * left follows from sowings and from seed set aside; needs of seed live beside sowing.
 */
package kiver.core.stock;
