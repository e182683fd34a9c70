/**
 * Keeping the nursery safe: whole copies of its database that are checked when they are made and when they are read, one
 * each night by rule, and everything as an open data package. What is copied is read in one snapshot, so people go on working.
 */
package kiver.server.backup;
