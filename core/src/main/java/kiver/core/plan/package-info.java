/** From a wish to a plan: where, when and how likely. */
package kiver.core.plan;
