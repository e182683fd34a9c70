/** Ingredients and recipes of growing media: kept, taken from the library, changed. What is in the store lies in {@code stock}. */
package kiver.server.media;
