package kiver.server.kept;

import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Something read from the database once and kept until it is changed, here or, as {@link Revisions} tells, elsewhere. A
 * transaction that changes it reads for itself until it is over, and others go on with what was there before.
 *
 * @param <T> an immutable value
 */
public final class Kept<T> {

    private final Supplier<T> read;
    private T value;
    private long changes;

    public Kept(Supplier<T> read) {
        this.read = read;
    }

    /** The value as it stands for whoever asks. */
    public T get() {
        if (TransactionSynchronizationManager.hasResource(this)) {
            return read.get();
        }
        long before;
        synchronized (this) {
            if (value != null) {
                return value;
            }
            before = changes;
        }
        T fresh = read.get();
        synchronized (this) {
            if (changes == before) {
                value = fresh;
            }
        }
        return fresh;
    }

    /** To be called where the value is changed, in the same transaction. */
    public void forget() {
        discard();
        if (TransactionSynchronizationManager.isSynchronizationActive()
                && !TransactionSynchronizationManager.hasResource(this)) {
            TransactionSynchronizationManager.bindResource(this, Boolean.TRUE);
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    TransactionSynchronizationManager.unbindResourceIfPossible(Kept.this);
                    discard();
                }
            });
        }
    }

    /** To be called where somebody else has changed it. */
    public synchronized void discard() {
        value = null;
        changes++;
    }

    /** Whether this transaction may write, so that what it sees may yet be taken back. */
    public static boolean writing() {
        return TransactionSynchronizationManager.isActualTransactionActive()
                && !TransactionSynchronizationManager.isCurrentTransactionReadOnly();
    }
}
