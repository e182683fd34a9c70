/** Potting on, where in part or whole. */
package kiver.server.pot;
