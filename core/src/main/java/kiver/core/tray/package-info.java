/** Trays and their cells, numbered as a page is read, and runs of cells. */
package kiver.core.tray;
