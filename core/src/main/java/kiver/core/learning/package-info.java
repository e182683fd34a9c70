/**
 * Looking back: what became of what was sown, and what was promised against what was kept. What a nursery's own years teach
 * of crops, and whether stated bands came true, will live here; until then counts teach a lot its germination, beside
 * sowing, and leaves their pace, beside crops.
 */
package kiver.core.learning;
