/** The library of crops and containers, read from open files, and the varieties grown here. */
package kiver.server.crop;
