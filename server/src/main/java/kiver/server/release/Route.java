package kiver.server.release;

/** A way to meet a line. */
enum Route {
    RAISED,
    IN_PLACE,
    BOUGHT_IN
}
