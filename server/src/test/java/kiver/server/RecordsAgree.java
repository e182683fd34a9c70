package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;

import kiver.server.batch.ProjectionBook;
import org.springframework.test.context.TestContext;
import org.springframework.test.context.TestExecutionListener;

/**
 * Whatever a test of the server did to batches: what is written beside their records follows from them in the end. A record
 * that a test has damaged follows into nothing.
 */
class RecordsAgree implements TestExecutionListener {

    @Override
    public void afterTestClass(TestContext test) {
        assertThat(test.getApplicationContext().getBean(ProjectionBook.class).differences())
                .filteredOn(difference -> difference.following().isPresent())
                .isEmpty();
    }
}
