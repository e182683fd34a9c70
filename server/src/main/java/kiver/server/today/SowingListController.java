package kiver.server.today;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The sowing list of a day. */
@RestController
class SowingListController {

    private static final int DAYS_AHEAD = 60;

    private final SowingList list;
    private final NurseryClock clock;

    SowingListController(SowingList list, NurseryClock clock) {
        this.list = list;
        this.clock = clock;
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/sowing-list")
    SowingList.SowingListView list(@RequestParam(required = false) @Nullable LocalDate day) {
        LocalDate today = clock.today();
        LocalDate asked = day == null ? today : day;
        if (asked.isBefore(today) || asked.isAfter(today.plusDays(DAYS_AHEAD))) {
            throw new Refusal(
                    "day",
                    Said.of("Choose a day from {from} to {until}.")
                            .with("from", today)
                            .with("until", today.plusDays(DAYS_AHEAD)));
        }
        return list.on(asked);
    }
}
