package kiver.server.wording;

import java.io.Serializable;

/**
 * A mass in a message.
 *
 * @param mass g
 */
public record Grams(double mass) implements Serializable {}
