/** Looking back, and what is learnt of it: what became of what was sown, whether forecasts held, what batches taught. */
package kiver.server.learning;
