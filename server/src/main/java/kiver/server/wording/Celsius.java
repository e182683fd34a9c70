package kiver.server.wording;

import java.io.Serializable;

/**
 * A temperature in a message; it is shown in the unit of whoever reads it.
 *
 * @param degrees °C
 */
public record Celsius(double degrees) implements Serializable {}
