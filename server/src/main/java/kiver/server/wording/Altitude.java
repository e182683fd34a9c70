package kiver.server.wording;

import java.io.Serializable;

/**
 * A height above the sea in a message.
 *
 * @param metres m
 */
public record Altitude(double metres) implements Serializable {}
