/** The web pages as files. */
package kiver.server.page;
