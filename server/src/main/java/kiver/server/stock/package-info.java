/**
 * What is in the store of mixes and their ingredients: one ledger of movements ({@link kiver.server.stock.StockLedger}), what is
 * mixed ({@link kiver.server.stock.MixingService}) and what goes into the barrow for it.
 */
package kiver.server.stock;
