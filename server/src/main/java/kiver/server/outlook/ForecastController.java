package kiver.server.outlook;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.outlook.ForecastChange;
import kiver.core.outlook.ForecastShift;
import kiver.core.place.PlaceId;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.growth.SeasonService;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What has moved of late. */
@RestController
class ForecastController {

    private final ForecastLedger ledger;
    private final SeasonService seasons;

    ForecastController(ForecastLedger ledger, SeasonService seasons) {
        this.ledger = ledger;
        this.seasons = seasons;
    }

    /** A batch whose day has moved. */
    record MovedBatch(int batch, String variety, LocalDate before, LocalDate after) {}

    /**
     * Batches that moved together.
     *
     * @param day on which that was seen
     * @param cause of it
     * @param place where they stand or are to stand, by name
     * @param earlier whether they moved forward
     * @param leastDays by which one of them moved
     * @param mostDays by which one of them moved
     * @param batches that moved
     */
    record MovedGroup(
            LocalDate day,
            ForecastChange.Cause cause,
            String place,
            boolean earlier,
            int leastDays,
            int mostDays,
            List<MovedBatch> batches) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/forecast-changes")
    List<MovedGroup> changes() {
        ledger.compare();
        List<ForecastLedger.Noted> lately = ledger.lately();
        Map<Integer, String> varieties = lately.stream()
                .collect(Collectors.toMap(
                        ForecastLedger.Noted::batch, ForecastLedger.Noted::variety, (one, same) -> one));
        Map<PlaceId, String> places = seasons.placeNames();
        return ForecastShift.of(
                        lately.stream().map(ForecastLedger.Noted::change).toList())
                .stream()
                .map(shift -> new MovedGroup(
                        shift.day(),
                        shift.cause(),
                        places.getOrDefault(shift.place(), ""),
                        shift.earlier(),
                        shift.leastDays(),
                        shift.mostDays(),
                        shift.changes().stream()
                                .map(each -> new MovedBatch(
                                        each.batch(), varieties.get(each.batch()), each.before(), each.after()))
                                .toList()))
                .toList();
    }
}
