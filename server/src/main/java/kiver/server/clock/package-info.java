/** What day it is at the nursery. */
package kiver.server.clock;
