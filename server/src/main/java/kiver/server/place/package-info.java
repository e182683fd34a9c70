/** The nursery's places and the temperatures read in them. */
package kiver.server.place;
