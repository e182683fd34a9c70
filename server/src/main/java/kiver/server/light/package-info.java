/** Light and warmth of the places, and what they do to what stands there. */
package kiver.server.light;
