/** Plans for wishes, and taking orders with the batches that grow them. */
package kiver.server.plan;
