/**
 * What is in the store. Here will live the one ledger of movements of seed, mix, labels and pots, and needs held against it by
 * week. Until then seed left follows from sowings and from seed set aside, and needs of seed live beside sowing.
 */
package kiver.core.stock;
