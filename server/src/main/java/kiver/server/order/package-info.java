/** Growers, their sites, and what they have ordered. */
package kiver.server.order;
