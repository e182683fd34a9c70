/**
 * Potting up: how full of roots a cell is, when its plant goes on and into which pot of those in the shed, what that takes of
 * room, mix, pots, labels and hours, and in which order a morning's batches are potted.
 */
package kiver.core.pot;
