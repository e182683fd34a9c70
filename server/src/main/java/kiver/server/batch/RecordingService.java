package kiver.server.batch;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import kiver.core.batch.BatchChange;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.wording.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The one way by which people record what they did: once for each request, today or on a day gone by. */
@Service
public class RecordingService {

    private final BatchBook batches;
    private final Requests requests;
    private final NurseryClock clock;

    RecordingService(BatchBook batches, Requests requests, NurseryClock clock) {
        this.batches = batches;
        this.requests = requests;
        this.clock = clock;
    }

    /**
     * Records changes to a batch.
     *
     * @param requestId the same on every retry
     * @param number of the batch
     * @param day on which it happened, or null for today
     * @param changes in order
     * @param recordedBy account number
     */
    @Transactional
    public void record(UUID requestId, int number, LocalDate day, List<BatchChange> changes, Long recordedBy) {
        record(requestId, number, day, changes, recordedBy, () -> {});
    }

    /** The same with something that is done with it, and not done again when it is retried. */
    @Transactional
    public void record(
            UUID requestId, int number, LocalDate day, List<BatchChange> changes, Long recordedBy, Runnable withIt) {
        LocalDate today = clock.today();
        LocalDate happened = day == null ? today : day;
        if (happened.isAfter(today)) {
            throw new Refusal(
                    "day",
                    Said.of("The day {happened} is still to come; today is {today}.")
                            .with("happened", happened)
                            .with("today", today));
        }
        requests.once(requestId, Arrays.asList("record", number, happened, changes, recordedBy), () -> {
            batches.record(number, happened, changes, recordedBy, requestId);
            withIt.run();
            return number;
        });
    }
}
