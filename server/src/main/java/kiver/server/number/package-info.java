/** How numbers that say of what they are stand in columns and in what is sent: plainly. */
package kiver.server.number;
