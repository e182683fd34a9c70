/**
 * Development follows temperature: rates between cardinal temperatures, how they are fitted to observed days, when
 * seedlings emerge, and how fast true leaves unfold. Progress is a share of a stage, 1 when the stage is complete.
 */
package kiver.core.growth;
