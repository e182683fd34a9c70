package kiver.server.today;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import kiver.core.today.TaskKind;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Ticking tasks off, handing them to somebody, putting them off. */
@RestController
class TaskMarkController {

    /** Work is put off by days, not by seasons. */
    private static final int MOST_DAYS = 30;

    private final TaskMarks marks;
    private final NurseryClock clock;

    TaskMarkController(TaskMarks marks, NurseryClock clock) {
        this.marks = marks;
        this.clock = clock;
    }

    /** A task of the round, done or not after all. */
    record TickEntry(
            @NotNull(message = "Say which batch.") Integer batch,
            @NotNull(message = "Say which work.") TaskKind kind,
            @NotNull(message = "Say whether it is done.") Boolean done) {}

    /** A task of the round, handed to somebody; to anyone where no person is said. */
    record HandEntry(
            @NotNull(message = "Say which batch.") Integer batch,
            @NotNull(message = "Say which work.") TaskKind kind,
            @Nullable Long person) {}

    /** A task of the round, put off to a day; to today after all where no day is said. */
    record PutOffEntry(
            @NotNull(message = "Say which batch.") Integer batch,
            @NotNull(message = "Say which work.") TaskKind kind,
            @Nullable LocalDate until) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/round/hands")
    List<TaskMarks.Hand> hands() {
        return marks.hands();
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/round/ticks")
    void tick(@Valid @RequestBody TickEntry entry, @AuthenticationPrincipal Person person) {
        marks.tick(new TaskMarks.Key(entry.batch(), entry.kind()), clock.today(), entry.done(), person.id());
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/round/handings")
    void hand(@Valid @RequestBody HandEntry entry, @AuthenticationPrincipal Person person) {
        marks.hand(new TaskMarks.Key(entry.batch(), entry.kind()), entry.person(), person.id());
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/round/put-offs")
    void putOff(@Valid @RequestBody PutOffEntry entry, @AuthenticationPrincipal Person person) {
        LocalDate today = clock.today();
        LocalDate until = entry.until();
        if (until != null && (!until.isAfter(today) || until.isAfter(today.plusDays(MOST_DAYS)))) {
            throw new Refusal(
                    "until",
                    Said.of("Put it off to a day from {first} to {last}.")
                            .with("first", today.plusDays(1))
                            .with("last", today.plusDays(MOST_DAYS)));
        }
        marks.putOff(new TaskMarks.Key(entry.batch(), entry.kind()), today, until, person.id());
    }
}
