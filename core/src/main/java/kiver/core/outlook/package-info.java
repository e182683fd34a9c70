/**
 * A batch on its way: as it was planned, promised and recorded; how far temperatures have brought it, when it will be
 * ready, how likely it gives what is wanted of it, and what can be done when its day moves.
 */
package kiver.core.outlook;
