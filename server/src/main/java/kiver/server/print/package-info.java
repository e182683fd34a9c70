/** Writing on paper: pages, text that fits, and codes that a camera reads. */
package kiver.server.print;
