/**
 * Looking back: what became of what was sown, what was promised against what was kept, what was spent, whether forecasts held,
 * and what a nursery's own batches say otherwise than what plans go by.
 */
package kiver.core.learning;
