package kiver.server.problem;

import kiver.server.wording.Said;

/**
 * What is wrong with one entry.
 *
 * @param field name of the entry
 * @param message what is wrong and what would be right
 */
public record FieldProblem(String field, Said message) {}
