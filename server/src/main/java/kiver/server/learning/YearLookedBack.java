package kiver.server.learning;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.batch.DatedRelease;
import kiver.core.growth.GrowingYear;
import kiver.core.learning.Kept;
import kiver.core.order.LineId;
import kiver.core.order.OrderLine;
import kiver.core.outlook.BatchFile;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.limit.Limits;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.release.ToldLosses;
import org.springframework.stereotype.Component;

/** What the record holds of a growing year: what was sown in it, and what was promised for it. */
@Component
class YearLookedBack {

    private final BatchBook batches;
    private final OrderBook orders;
    private final ToldLosses losses;
    private final NurseryClock clock;

    YearLookedBack(BatchBook batches, OrderBook orders, ToldLosses losses, NurseryClock clock) {
        this.batches = batches;
        this.orders = orders;
        this.losses = losses;
        this.clock = clock;
    }

    /** The year asked for, or the present one. */
    GrowingYear year(Optional<Integer> asked) {
        GrowingYear present = GrowingYear.of(clock.today(), clock.latitude());
        return asked.map(Limits::year)
                .map(number -> new GrowingYear(number, present.south()))
                .orElse(present);
    }

    /** The batches sown here in it. */
    List<BatchFile> sown(GrowingYear year) {
        return Stream.concat(batches.files().stream(), batches.filesPutAway(year).stream())
                .filter(file -> !file.batch().isBoughtIn()
                        && file.state()
                                .sownOn()
                                .filter(day -> !day.isBefore(year.firstDay()) && !day.isAfter(year.lastDay()))
                                .isPresent())
                .toList();
    }

    /** The lines whose day has come, each with the day on which it was whole; what is sown in place is not among them. */
    Map<LineId, Kept.Line> due(GrowingYear year) {
        LocalDate today = clock.today();
        List<OrderedLine> due = orders.wanted(year.firstDay(), year.lastDay()).stream()
                .flatMap(order -> order.lines().stream())
                .filter(line -> line.cancelledOn() == null && line.target().isBefore(today))
                .toList();
        Map<LineId, TreeMap<LocalDate, Integer>> gone = new HashMap<>();
        for (BatchFile file : batches.filesOf(due.stream().map(OrderedLine::id).collect(Collectors.toSet()))) {
            for (DatedRelease release : file.state().releases()) {
                gone.computeIfAbsent(release.plants().line(), line -> new TreeMap<>())
                        .merge(release.day(), file.plantsOf(release.plants()), Integer::sum);
            }
        }
        Map<LineId, Integer> again = losses.givenAgain();
        Map<LineId, Kept.Line> lines = new LinkedHashMap<>();
        for (OrderedLine line : due) {
            int accepted = OrderLine.accepted(line.plants() - again.getOrDefault(line.id(), 0), line.under());
            lines.put(
                    line.id(),
                    new Kept.Line(line.target(), whole(accepted, gone.getOrDefault(line.id(), new TreeMap<>()))));
        }
        return lines;
    }

    private static Optional<LocalDate> whole(int accepted, TreeMap<LocalDate, Integer> gone) {
        int sum = 0;
        for (Map.Entry<LocalDate, Integer> part : gone.entrySet()) {
            sum += part.getValue();
            if (sum >= accepted) {
                return Optional.of(part.getKey());
            }
        }
        return Optional.empty();
    }
}
