package kiver.server.wording;

import java.io.Serializable;

/**
 * How much warmer or colder, in a message.
 *
 * @param kelvins K
 */
public record Difference(double kelvins) implements Serializable {}
