/** A batch on its way: how far temperatures have brought it, and when it will be ready. */
package kiver.core.grow;
