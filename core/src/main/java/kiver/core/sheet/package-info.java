/** Open files of rows and columns: comma-separated, UTF-8, one heading line, with every fault told by its line. */
package kiver.core.sheet;
