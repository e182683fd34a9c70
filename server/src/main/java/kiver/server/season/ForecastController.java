package kiver.server.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import kiver.core.grow.ForecastChange;
import kiver.server.wording.Said;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What has moved in the forecasts, told by cause and place. */
@RestController
class ForecastController {

    private final ForecastLedger ledger;
    private final SeasonBoard board;

    ForecastController(ForecastLedger ledger, SeasonBoard board) {
        this.ledger = ledger;
        this.board = board;
    }

    /** A batch whose day has moved. */
    record MovedBatch(int batch, String variety, LocalDate before, LocalDate after) {}

    /** Batches that moved for the same cause at the same place. */
    record MovedGroup(LocalDate day, ForecastChange.Cause cause, Said words, List<MovedBatch> batches) {}

    @GetMapping("/api/season/forecast-changes")
    List<MovedGroup> changes() {
        ledger.compare();
        Map<String, List<ForecastLedger.Noted>> groups = new LinkedHashMap<>();
        ledger.lately().forEach(each -> groups
                .computeIfAbsent(each.day() + "/" + each.cause() + "/" + each.placeId() + "/"
                        + each.readyAfter().isBefore(each.readyBefore()), key -> new ArrayList<>())
                .add(each));
        Map<Long, String> names = board.placeNames();
        return groups.values().stream().map(group -> group(group, names)).toList();
    }

    private static MovedGroup group(List<ForecastLedger.Noted> group, Map<Long, String> names) {
        ForecastLedger.Noted first = group.get(0);
        boolean earlier = first.readyAfter().isBefore(first.readyBefore());
        long least = group.stream().mapToLong(ForecastController::days).min().orElse(0);
        long most = group.stream().mapToLong(ForecastController::days).max().orElse(0);
        String place = BoardView.name(names, first.placeId()).toLowerCase(Locale.ROOT);
        Said cause = switch (first.cause()) {
            case WARM_DAYS -> Said.of("Warm days in the {place}").with("place", place);
            case COLD_DAYS -> Said.of("Cold days in the {place}").with("place", place);
            case RECORD -> Said.of("After counts, moves or new plans in the {place}").with("place", place);
            case WEATHER_AHEAD -> Said.of("The weather ahead has changed in the {place}").with("place", place);
        };
        Said words = Said.of("{cause}: {batches, plural, one {# batch} other {# batches}} {alike, select, true {} other {{least} to }}"
                        + "{most, plural, one {# day} other {# days}} {earlier, select, true {earlier} other {later}}.")
                .with("cause", cause).with("batches", group.size()).when("alike", least == most)
                .with("least", least).with("most", most).when("earlier", earlier);
        return new MovedGroup(
                first.day(), first.cause(), words,
                group.stream()
                        .map(each -> new MovedBatch(each.batch(), each.variety(), each.readyBefore(), each.readyAfter()))
                        .toList());
    }

    private static long days(ForecastLedger.Noted noted) {
        return Math.abs(noted.readyAfter().toEpochDay() - noted.readyBefore().toEpochDay());
    }
}
