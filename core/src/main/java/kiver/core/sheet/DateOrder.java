package kiver.core.sheet;

/** In which order a day is written: 2027-04-15, 15.4.2027 or 4/15/2027. */
public enum DateOrder {
    YEAR_FIRST,
    DAY_FIRST,
    MONTH_FIRST
}
