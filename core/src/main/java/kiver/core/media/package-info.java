/**
 * Growing media: what a mix is made of ({@link kiver.core.media.Composition}), how it is made ready and how long it feeds
 * ({@link kiver.core.media.Recipe}), what goes into the barrow for a mixing ({@link kiver.core.media.BarrowSheet}), and whether
 * that is worth the trouble ({@link kiver.core.media.MakeOrBuy}). What is in the store of it is told by
 * {@link kiver.core.stock}. Volumes are litres of loose material unless said otherwise.
 */
package kiver.core.media;
