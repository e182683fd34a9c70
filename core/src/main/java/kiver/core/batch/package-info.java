/**
 * What has happened to a batch, kept as changes that are never edited, and what follows from them: the state of every
 * cell and a balance that always comes out even.
 */
package kiver.core.batch;
