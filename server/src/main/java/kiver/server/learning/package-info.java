/** Looking back: what became of what was sown, and what was promised against what was kept. */
package kiver.server.learning;
