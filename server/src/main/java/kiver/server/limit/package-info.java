/** What may come in at all: how long, how large, how far away in time, and from how many instances. Knows no trade. */
package kiver.server.limit;
