package kiver.e2e;

import java.io.IOException;

/** The same order at the desk while two instances take turns in answering. */
class OrderToReleaseOnTwoInstancesTest extends OrderToRelease {

    OrderToReleaseOnTwoInstancesTest() {
        super(false);
    }

    @Override
    Nursery nursery() throws IOException, InterruptedException {
        return Nursery.demoOnTwoInstances();
    }
}
