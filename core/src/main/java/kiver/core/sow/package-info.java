/** How much to sow, so that enough comes of it. */
package kiver.core.sow;
