package kiver.server.find;

/** What can be found, in the order in which it is told. */
public enum FoundKind {
    TRAY,
    BATCH,
    ORDER,
    NOTE,
    CROP,
    VARIETY,
    GROWER,
    SITE,
    PLACE,
    PERSON,
    LOT,
    MIX,
    DAY
}
