package kiver.e2e;

/** One real order, at the desk. */
class OrderToReleaseAtTheDeskTest extends OrderToRelease {

    OrderToReleaseAtTheDeskTest() {
        super(false);
    }
}
