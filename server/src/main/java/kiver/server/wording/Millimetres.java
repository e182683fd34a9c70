package kiver.server.wording;

import java.io.Serializable;

/**
 * A small length in a message.
 *
 * @param length mm
 */
public record Millimetres(double length) implements Serializable {}
