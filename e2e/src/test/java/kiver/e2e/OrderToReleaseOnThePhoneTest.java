package kiver.e2e;

/** One real order, on the phone. */
class OrderToReleaseOnThePhoneTest extends OrderToRelease {

    OrderToReleaseOnThePhoneTest() {
        super(true);
    }
}
