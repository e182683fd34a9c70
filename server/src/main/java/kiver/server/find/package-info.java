/** One field that finds everything: by number, code, part of a name, a scanned label or a day. */
package kiver.server.find;
