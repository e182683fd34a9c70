/** A season played in a copy of a nursery, and the hands that work where days are let pass. */
package kiver.server.play;
