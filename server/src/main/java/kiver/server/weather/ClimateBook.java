package kiver.server.weather;

import java.time.LocalDate;
import java.time.MonthDay;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import kiver.core.weather.ClimateFit;
import kiver.core.weather.ClimateGuess;
import kiver.core.weather.DailyRange;
import kiver.core.weather.EstimatedClimate;
import kiver.core.weather.StationRecord;
import kiver.core.weather.ToldClimate;
import kiver.server.clock.Nursery;
import kiver.server.clock.NurseryClock;
import org.springframework.stereotype.Component;

/** Keeps what was told of the climate, and works out from it the days that nobody measured. */
@Component
public class ClimateBook {

    /** Whole years before the present one; each is a season that forecasts are tried on. */
    private static final int YEARS = 30;

    private static final long SEED = 51_030;
    private static final DateTimeFormatter MONTH_DAY = DateTimeFormatter.ofPattern("MM-dd");

    private final ClimateMapper mapper;
    private final NurseryClock clock;

    /** Fitting takes a second, and the same is asked again and again. */
    private volatile Known known;

    private record Known(ToldClimate told, ClimateFit.Fitted fitted) {}

    ClimateBook(ClimateMapper mapper, NurseryClock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** What was told; nothing until somebody does. */
    public Optional<ToldClimate> told() {
        return mapper.told().map(row -> told(row, isNorthern()));
    }

    /** What was told, or what is guessed from latitude and height until then. */
    public ToldClimate climate() {
        return told().orElseGet(this::guessed);
    }

    private ToldClimate guessed() {
        Nursery nursery = clock.nursery().orElseThrow();
        return ClimateGuess.at(nursery.latitude(), nursery.stationAltitude());
    }

    /** Keeps what is told now in the place of what was told before. */
    public void tell(ToldClimate told) {
        mapper.forget();
        mapper.tell(row(told));
    }

    /** Back to the guess. */
    public void forget() {
        mapper.forget();
    }

    /** The climate that comes nearest to what was told. */
    public ClimateFit.Fitted fitted(ToldClimate told) {
        Known last = known;
        if (last == null || !last.told().equals(told)) {
            last = new Known(told, ClimateFit.of(told));
            known = last;
        }
        return last.fitted();
    }

    /**
     * Years as they might have been.
     *
     * @param climate to draw from
     * @param until first day that is no longer drawn
     */
    public StationRecord drawn(EstimatedClimate climate, LocalDate until) {
        LocalDate first = firstDay(until);
        return climate.draw(new SplittableRandom(SEED), first, (int) (until.toEpochDay() - first.toEpochDay()));
    }

    /** The first estimated day of a record that goes on from a day. */
    LocalDate firstDay(LocalDate today) {
        return LocalDate.of(today.getYear() - YEARS, 1, 1);
    }

    /**
     * Estimated days: in years that are over as they might have been, in the present one as they usually are, because plants
     * that stand there now had no weather that was drawn.
     */
    List<DailyRange> days(LocalDate first, LocalDate today) {
        EstimatedClimate climate = fitted(climate()).climate();
        LocalDate thisYear = LocalDate.of(today.getYear(), 1, 1);
        StationRecord drawn = drawn(climate, thisYear);
        List<DailyRange> days = new ArrayList<>();
        for (LocalDate day = first; day.isBefore(today); day = day.plusDays(1)) {
            days.add(drawn.covers(day) ? drawn.on(day) : climate.usual(day));
        }
        return days;
    }

    private boolean isNorthern() {
        return clock.latitude() >= 0;
    }

    private static ToldClimate told(ClimateMapper.Row row, boolean northern) {
        return new ToldClimate(
                new DailyRange(row.coldestMinimum(), row.coldestMaximum()),
                new DailyRange(row.warmestMinimum(), row.warmestMaximum()),
                row.lastFrost() == null
                        ? Optional.empty()
                        : Optional.of(new ToldClimate.Frosts(
                                day(row.lastFrost()),
                                day(row.lastFrostAtWorst()),
                                day(row.firstFrost()),
                                day(row.firstFrostAtWorst()))),
                northern);
    }

    private static ClimateMapper.Row row(ToldClimate told) {
        ToldClimate.Frosts frosts = told.frosts().orElse(null);
        return new ClimateMapper.Row(
                told.coldest().minimum(),
                told.coldest().maximum(),
                told.warmest().minimum(),
                told.warmest().maximum(),
                frosts == null ? null : MONTH_DAY.format(frosts.last()),
                frosts == null ? null : MONTH_DAY.format(frosts.lastAtWorst()),
                frosts == null ? null : MONTH_DAY.format(frosts.first()),
                frosts == null ? null : MONTH_DAY.format(frosts.firstAtWorst()));
    }

    private static MonthDay day(String written) {
        return MonthDay.parse(written, MONTH_DAY);
    }
}
