/** Words for what is kept and computed as data: one catalogue of messages for the server's papers and the web. */
package kiver.server.wording;
