/** The weather station and its forecast, behind a port, and the nursery's record of them. */
package kiver.server.weather;
