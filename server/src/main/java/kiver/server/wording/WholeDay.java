package kiver.server.wording;

import java.io.Serializable;
import java.time.LocalDate;

/** A day with its year, for paper that is kept. */
public record WholeDay(LocalDate day) implements Serializable {}
