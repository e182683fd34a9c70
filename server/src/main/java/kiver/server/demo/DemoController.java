package kiver.server.demo;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.Nursery;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.outlook.ForecastLedger;
import kiver.server.problem.NotFound;
import kiver.server.wording.Said;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Lets days pass; there only in the demonstration. */
@RestController
class DemoController {

    private final DemoNursery demo;
    private final NurseryClock clock;
    private final SeasonService seasons;
    private final ForecastLedger forecasts;

    DemoController(DemoNursery demo, NurseryClock clock, SeasonService seasons, ForecastLedger forecasts) {
        this.demo = demo;
        this.clock = clock;
        this.seasons = seasons;
        this.forecasts = forecasts;
    }

    /** How many days, and whether the nursery's hands do the round on them. */
    record DaysToPass(
            @NotNull
            @Min(value = 1, message = "Let at least one day pass.")
            @Max(value = 28, message = "Let at most 28 days pass at once.")
            Integer days,

            boolean handsWork) {}

    /** The day it is then. */
    record DayShown(LocalDate today) {}

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/demo/days")
    synchronized DayShown letDaysPass(@Valid @RequestBody DaysToPass entry) {
        if (!clock.nursery().map(Nursery::demo).orElse(false)) {
            throw new NotFound(Said.of("There is no demonstration here."));
        }
        for (int day = 0; day < entry.days(); day++) {
            demo.liveThroughToday(entry.handsWork());
        }
        seasons.season();
        forecasts.compare();
        return new DayShown(clock.today());
    }
}
