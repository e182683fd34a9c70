package kiver.server.kept;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.AbstractPlatformTransactionManager;
import org.springframework.transaction.support.DefaultTransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;

class KeptTest {

    private final TransactionTemplate transaction = new TransactionTemplate(new NoDatabase());
    private final AtomicInteger stored = new AtomicInteger(1);
    private final AtomicInteger reads = new AtomicInteger();
    private final Kept<Integer> kept = new Kept<>(() -> {
        reads.incrementAndGet();
        return stored.get();
    });

    @Test
    void isReadOnceUntilItIsChanged() {
        assertThat(kept.get()).isEqualTo(1);
        assertThat(kept.get()).isEqualTo(1);
        assertThat(reads).hasValue(1);
        stored.set(2);
        kept.forget();
        assertThat(kept.get()).isEqualTo(2);
        assertThat(reads).hasValue(2);
    }

    @Test
    void whoChangesItSeesTheChangeAndOthersOnlyWhenItIsCommitted() {
        kept.get();
        transaction.executeWithoutResult(status -> {
            assertThat(kept.get()).isEqualTo(1);
            stored.set(2);
            kept.forget();
            assertThat(kept.get()).isEqualTo(2);
            stored.set(1);
            assertThat(CompletableFuture.supplyAsync(kept::get).join())
                    .as("another reads what is committed")
                    .isEqualTo(1);
            stored.set(2);
        });
        assertThat(kept.get()).as("what another had kept meanwhile is gone").isEqualTo(2);
    }

    @Test
    void whatIsTakenBackIsForgottenToo() {
        transaction.executeWithoutResult(status -> {
            stored.set(9);
            kept.forget();
            kept.get();
            status.setRollbackOnly();
            stored.set(1);
        });
        assertThat(kept.get()).isEqualTo(1);
    }

    @Test
    void knowsWhetherATransactionMayWrite() {
        assertThat(Kept.writing()).isFalse();
        transaction.executeWithoutResult(status -> assertThat(Kept.writing()).isTrue());
        transaction.setReadOnly(true);
        transaction.executeWithoutResult(status -> assertThat(Kept.writing()).isFalse());
    }

    /** Transactions without a database behind them. */
    private static final class NoDatabase extends AbstractPlatformTransactionManager {
        @Override
        protected Object doGetTransaction() {
            return new Object();
        }

        @Override
        protected void doBegin(Object transaction, TransactionDefinition definition) {}

        @Override
        protected void doCommit(DefaultTransactionStatus status) {}

        @Override
        protected void doRollback(DefaultTransactionStatus status) {}
    }
}
