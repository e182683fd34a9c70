package kiver.server.learning;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import kiver.core.crop.LessonAbout.Matter;
import kiver.core.growth.GrowingYear;
import kiver.core.learning.Happened;
import kiver.core.learning.Honesty;
import kiver.core.learning.Kept;
import kiver.core.order.LineId;
import kiver.core.outlook.BatchFile;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.outlook.ToldBook;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Whether what was forecast came as it was forecast. */
@RestController
class HonestyController {

    private final YearLookedBack years;
    private final ToldBook told;

    HonestyController(YearLookedBack years, ToldBook told) {
        this.years = years;
        this.told = told;
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/looking-back/honesty")
    Honesty honesty(@RequestParam Optional<Integer> year) {
        GrowingYear asked = years.year(year);
        Map<Long, Map<Matter, LocalDate>> happened = new HashMap<>();
        for (BatchFile file : years.sown(asked)) {
            Map<Matter, LocalDate> days = new EnumMap<>(Matter.class);
            Happened.halfUp(file.state()).ifPresent(day -> days.put(Matter.EMERGENCE, day));
            Happened.leavesReached(file.state(), file.batch().stage().from())
                    .ifPresent(day -> days.put(Matter.LEAVES, day));
            happened.put(file.batch().id().number(), days);
        }
        List<Honesty.ToldBand> bands = told.bands(asked.firstDay(), asked.lastDay()).stream()
                .flatMap(row -> Optional.ofNullable(
                        happened.getOrDefault(row.batchId(), Map.of()).get(row.matter()))
                        .map(day -> new Honesty.ToldBand(row.matter(), row.toldOn(), row.early(), row.late(), day))
                        .stream())
                .toList();
        Map<LineId, Kept.Line> due = years.due(asked);
        List<Honesty.ToldChance> chances = new ArrayList<>();
        for (ToldBook.ChanceRow row : told.chances(asked.firstDay(), asked.lastDay())) {
            Stream.ofNullable(due.get(new LineId(row.lineId())))
                    .filter(line -> row.toldOn().isBefore(line.wantedOn()))
                    .map(line -> new Honesty.ToldChance(row.chance(), line.isInTime()))
                    .forEach(chances::add);
        }
        return Honesty.of(bands, chances);
    }
}
