package kiver.server.today;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import kiver.core.today.TaskKind;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The week against the hands. */
@RestController
class WeekController {

    private static final int MOST_MINUTES = 14400;

    private final WeekAhead week;
    private final HandsBook hands;

    WeekController(WeekAhead week, HandsBook hands) {
        this.week = week;
        this.hands = hands;
    }

    /**
     * A day of the week.
     *
     * @param minutes of work known and foreseen
     * @param hands minutes of all hands together
     * @param tasks pieces of work
     */
    record DayView(LocalDate day, double minutes, int hands, int tasks) {}

    /**
     * A piece of work of a day.
     *
     * @param mayWaitUntil last day on which it still serves; missing for what cannot wait
     * @param chance that its batch is whole and in time; missing where waiting does not change it
     * @param chanceADayLater the same when it waits a day
     */
    record TaskOfDay(
            TaskKind kind,
            int batch,
            String variety,
            String place,
            Said words,
            double minutes,
            @Nullable LocalDate mayWaitUntil,
            @Nullable Double chance,
            @Nullable Double chanceADayLater) {}

    /** What became of the work of a day without time. */
    record Cleared(int moved, int stayed) {}

    /** How many hands there are on a day, or on all days of its weekday. */
    record HandsEntry(
            @NotNull(message = "Say which day.") LocalDate day,

            @NotNull(message = "Say how many minutes.")
            @Min(value = 0, message = "There are no fewer minutes than none.")
            @Max(value = MOST_MINUTES, message = "Say at most 14,400 minutes, ten people around the clock.")
            Integer minutes,

            @NotNull(message = "Say whether it is so every week.")
            Boolean everyWeek) {}

    /** A day on which there is no time. */
    record ClearingEntry(
            @NotNull(message = "The request has no number; load the page anew.")
            UUID requestId,

            @NotNull(message = "Say which day.") LocalDate day) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/week")
    List<DayView> week(@RequestParam LocalDate from) {
        return week.days(from);
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/week/days/{day}")
    List<TaskOfDay> day(@PathVariable LocalDate day) {
        return week.day(day);
    }

    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/week/hands")
    @Transactional
    public void hands(@Valid @RequestBody HandsEntry entry) {
        hands.set(entry.day(), entry.minutes(), entry.everyWeek());
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/week/clearings")
    @Transactional
    public Cleared clear(@Valid @RequestBody ClearingEntry entry, @AuthenticationPrincipal Person person) {
        return week.clear(entry.requestId(), entry.day(), person.id());
    }
}
