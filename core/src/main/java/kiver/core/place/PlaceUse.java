package kiver.core.place;

/** What a place is used for on the path of a batch. */
public enum PlaceUse {
    /** Seed lies here until it shows. */
    EMERGENCE,
    /** Seedlings make their leaves here. */
    GROWING_ON,
    /** Young plants get used to wind, sun and cool nights here. */
    HARDENING_OFF
}
