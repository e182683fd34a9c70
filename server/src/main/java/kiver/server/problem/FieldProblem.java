package kiver.server.problem;

/**
 * What is wrong with one entry.
 *
 * @param field name of the entry
 * @param message what is wrong and what would be right
 */
public record FieldProblem(String field, String message) {}
