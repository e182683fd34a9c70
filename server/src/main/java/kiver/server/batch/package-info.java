/** Batches and the record of what happened to them. */
package kiver.server.batch;
