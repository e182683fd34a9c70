/** What is written to growers: an outbox that can be looked at, and the service behind a port that carries it. */
package kiver.server.message;
