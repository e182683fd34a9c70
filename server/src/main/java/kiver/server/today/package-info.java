/** The round through the nursery, and what forms offer to choose from. */
package kiver.server.today;
