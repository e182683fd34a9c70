package kiver.core.plan;

/**
 * A step from one container into a larger one.
 *
 * @param from code of the smaller
 * @param into code of the larger
 * @param times how many cells of the smaller it holds
 */
public record ContainerStep(String from, String into, long times) {}
