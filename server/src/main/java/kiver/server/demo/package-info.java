/** The demonstration: an invented nursery with a clock of its own, whose history is made by Kiver's own rules. */
package kiver.server.demo;
