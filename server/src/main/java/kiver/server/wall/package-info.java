/** Sheets for the wall and calendars of the work that is coming. */
package kiver.server.wall;
