/**
 * Labels. Here will live codes with their check characters, what stands on a label of which kind, sheets and rolls of labels,
 * and the map of a mixed tray. Until then the server prints one kind.
 */
package kiver.core.labels;
