/** When a day moves: what can be done for each batch, and doing it. */
package kiver.server.reschedule;
