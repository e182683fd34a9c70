/** Answering a grower, and turning a yes into an order with its batch. */
package kiver.server.promise;
