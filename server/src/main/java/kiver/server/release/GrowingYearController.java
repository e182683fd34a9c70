package kiver.server.release;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kiver.core.growth.GrowingYear;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.order.OrderBook;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The growing years of which there is anything to be read. */
@RestController
class GrowingYearController {

    private final BatchBook batches;
    private final OrderBook orders;
    private final NurseryClock clock;

    GrowingYearController(BatchBook batches, OrderBook orders, NurseryClock clock) {
        this.batches = batches;
        this.orders = orders;
        this.clock = clock;
    }

    /**
     * Growing years by the calendar year of their spring.
     *
     * @param present the one that runs
     * @param earlier those before it of which there is anything, latest first
     */
    record GrowingYears(int present, List<Integer> earlier) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/growing-years")
    GrowingYears years() {
        double latitude = clock.latitude();
        int present = GrowingYear.of(clock.today(), latitude).number();
        int first = Stream.of(batches.firstTarget(), orders.firstTarget())
                .flatMap(day -> day.stream())
                .min(LocalDate::compareTo)
                .map(day -> GrowingYear.of(day, latitude).number())
                .orElse(present);
        return new GrowingYears(
                present,
                IntStream.range(first, present)
                        .map(year -> present - 1 - (year - first))
                        .boxed()
                        .toList());
    }
}
