/**
 * Growing media. Here will live recipes (parts, or a base with percentages of the base or of the running total), the barrow
 * sheet for a volume or for chosen trays, mix lots with their ingredients' lots, and how long a mix feeds a plant. Until then a
 * mix is a word in a sowing.
 */
package kiver.core.media;
