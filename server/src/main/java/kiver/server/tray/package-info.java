/** Trays and their numbers. */
package kiver.server.tray;
