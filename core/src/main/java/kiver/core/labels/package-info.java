/**
 * Labels: the code of a tray with its check character ({@link kiver.core.labels.CheckedCode}) and the formats labels are printed
 * in ({@link kiver.core.labels.LabelFormat}).
 */
package kiver.core.labels;
