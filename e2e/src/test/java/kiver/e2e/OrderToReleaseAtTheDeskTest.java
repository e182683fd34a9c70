package kiver.e2e;

import java.io.IOException;

/** One real order, at the desk, while two instances take turns in answering. */
class OrderToReleaseAtTheDeskTest extends OrderToRelease {

    OrderToReleaseAtTheDeskTest() {
        super(false);
    }

    @Override
    Nursery nursery() throws IOException, InterruptedException {
        return Nursery.demoOnTwoInstances();
    }
}
