/** The season as it looks today, worked out once a day and shared by every forecast. */
package kiver.server.growth;
