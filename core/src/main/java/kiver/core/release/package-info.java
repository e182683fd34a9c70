/** Choosing which ready plants go to which due order. */
package kiver.core.release;
