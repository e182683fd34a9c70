package kiver.server.order;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import kiver.core.growth.DateSpread;
import kiver.core.order.FrostDates;
import kiver.core.weather.ClimateFit;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;
import kiver.core.weather.ToldClimate;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.problem.Refusal;
import kiver.server.weather.ClimateBook;
import kiver.server.weather.WeatherBook;
import kiver.server.wording.Said;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The climate as people know it: told, drawn as a year with its frosts, corrected, kept. */
@RestController
class ClimateController {

    private static final DateTimeFormatter MONTH_DAY = DateTimeFormatter.ofPattern("MM-dd");
    private static final int DAYS_BETWEEN_POINTS = 5;

    private final ClimateBook climates;
    private final WeatherBook weather;
    private final SeasonService seasons;
    private final NurseryClock clock;

    ClimateController(ClimateBook climates, WeatherBook weather, SeasonService seasons, NurseryClock clock) {
        this.climates = climates;
        this.weather = weather;
        this.seasons = seasons;
        this.clock = clock;
    }

    /**
     * What is told: °C; dates as month-day, for example 05-14; all four or none, where there is hardly any frost.
     *
     * @param coldestMinimum mean lowest of the days of the coldest month
     * @param coldestMaximum their mean highest
     * @param warmestMinimum mean lowest of the warmest month
     * @param warmestMaximum its mean highest
     * @param lastFrost usually in spring
     * @param lastFrostAtWorst one year in ten later
     * @param firstFrost usually in autumn
     * @param firstFrostAtWorst one year in ten sooner
     */
    record ClimateEntry(
            @NotNull(message = "Say how cold nights of the coldest month are.")
            @DecimalMin(value = "-60", message = "Enter −60 to 40 °C.")
            @DecimalMax(value = "40", message = "Enter −60 to 40 °C.")
            Double coldestMinimum,

            @NotNull(message = "Say how warm days of the coldest month are.")
            @DecimalMin(value = "-60", message = "Enter −60 to 50 °C.")
            @DecimalMax(value = "50", message = "Enter −60 to 50 °C.")
            Double coldestMaximum,

            @NotNull(message = "Say how cold nights of the warmest month are.")
            @DecimalMin(value = "-40", message = "Enter −40 to 45 °C.")
            @DecimalMax(value = "45", message = "Enter −40 to 45 °C.")
            Double warmestMinimum,

            @NotNull(message = "Say how warm days of the warmest month are.")
            @DecimalMin(value = "-40", message = "Enter −40 to 55 °C.")
            @DecimalMax(value = "55", message = "Enter −40 to 55 °C.")
            Double warmestMaximum,

            @Nullable @Pattern(regexp = "\\d\\d-\\d\\d", message = "Enter a day and its month.")
            String lastFrost,

            @Nullable @Pattern(regexp = "\\d\\d-\\d\\d", message = "Enter a day and its month.")
            String lastFrostAtWorst,

            @Nullable @Pattern(regexp = "\\d\\d-\\d\\d", message = "Enter a day and its month.")
            String firstFrost,

            @Nullable @Pattern(regexp = "\\d\\d-\\d\\d", message = "Enter a day and its month.")
            String firstFrostAtWorst) {}

    /** The lowest and highest of a day as it usually is, °C. */
    record UsualDay(LocalDate day, double minimum, double maximum) {}

    /**
     * What comes of what was told.
     *
     * @param entry as it was told, or as it is guessed
     * @param guessed whether nobody has told anything: it is from latitude and height alone
     * @param northern whether summer is in July
     * @param year this year's days, every fifth, as they usually are
     * @param spring dates of the last frost; nothing where half of the years have none
     * @param autumn dates of the first
     * @param curve chance that frost is still to come, and from midsummer on that it has come, 0 to 1
     * @param daysOff the most by which one of the frost dates told is missed, days: what was told may not fit together
     */
    record ClimateView(
            ClimateEntry entry,
            boolean guessed,
            boolean northern,
            List<UsualDay> year,
            @Nullable DateSpread spring,
            @Nullable DateSpread autumn,
            List<SiteController.FrostPoint> curve,
            double daysOff) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/weather/climate")
    ClimateView climate() {
        return view(climates.climate(), climates.told().isEmpty());
    }

    /** Looks at what would come of it; nothing is kept. */
    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/weather/climate/trial")
    ClimateView tried(@Valid @RequestBody ClimateEntry entry) {
        return view(told(entry), false);
    }

    /** Keeps it; days that nobody measured are estimated anew. */
    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/weather/climate")
    @Transactional
    public void tell(@Valid @RequestBody ClimateEntry entry) {
        if (clock.nursery().orElseThrow().demo()) {
            throw new Refusal("", Said.of("The demonstration has a station; nothing is estimated here."));
        }
        climates.tell(told(entry));
        weather.estimateAnew(clock.today());
        seasons.forget();
    }

    private ClimateView view(ToldClimate told, boolean guessed) {
        ClimateFit.Fitted fitted = climates.fitted(told);
        LocalDate today = clock.today();
        LocalDate newYear = LocalDate.of(today.getYear(), 1, 1);
        StationRecord years = climates.drawn(fitted.climate(), newYear);
        FrostDates frosts = FrostDates.of(years, 0, 0, told.northern());
        LocalDate midsummer = FrostDates.midsummerOf(today, told.northern());
        List<SiteController.FrostPoint> curve = new ArrayList<>();
        for (int day = -180; day <= 180; day += DAYS_BETWEEN_POINTS) {
            LocalDate point = midsummer.plusDays(day);
            curve.add(new SiteController.FrostPoint(point, frosts.chanceOfFrost(point)));
        }
        List<UsualDay> year = new ArrayList<>();
        for (LocalDate day = newYear; day.getYear() == newYear.getYear(); day = day.plusDays(DAYS_BETWEEN_POINTS)) {
            DailyRange usual = fitted.climate().usual(day);
            year.add(new UsualDay(day, usual.minimum(), usual.maximum()));
        }
        return new ClimateView(
                entry(told),
                guessed,
                told.northern(),
                year,
                frosts.spring(today).orElse(null),
                frosts.autumn(today).orElse(null),
                curve,
                fitted.off());
    }

    private ToldClimate told(ClimateEntry entry) {
        if (entry.coldestMinimum() > entry.coldestMaximum()) {
            throw new Refusal("coldestMaximum", Said.of("The highest is below the lowest. Look again which is which."));
        }
        if (entry.warmestMinimum() > entry.warmestMaximum()) {
            throw new Refusal("warmestMaximum", Said.of("The highest is below the lowest. Look again which is which."));
        }
        DailyRange coldest = new DailyRange(entry.coldestMinimum(), entry.coldestMaximum());
        DailyRange warmest = new DailyRange(entry.warmestMinimum(), entry.warmestMaximum());
        Optional<ToldClimate.Frosts> frosts = frosts(entry);
        boolean northern = clock.latitude() >= 0;
        ToldClimate.fault(coldest, warmest, frosts, northern).ifPresent(fault -> {
            throw refusal(fault);
        });
        return new ToldClimate(coldest, warmest, frosts, northern);
    }

    private static Optional<ToldClimate.Frosts> frosts(ClimateEntry entry) {
        long told = Stream.of(
                        entry.lastFrost(), entry.lastFrostAtWorst(), entry.firstFrost(), entry.firstFrostAtWorst())
                .filter(Objects::nonNull)
                .count();
        return told == 0
                ? Optional.empty()
                : Optional.of(new ToldClimate.Frosts(
                        day("lastFrost", entry.lastFrost()),
                        day("lastFrostAtWorst", entry.lastFrostAtWorst()),
                        day("firstFrost", entry.firstFrost()),
                        day("firstFrostAtWorst", entry.firstFrostAtWorst())));
    }

    private static MonthDay day(String field, @Nullable String written) {
        if (written == null) {
            throw new Refusal(
                    field, Said.of("Say this too, or say that there is hardly any frost and leave all four out."));
        }
        try {
            return MonthDay.parse(written, MONTH_DAY);
        } catch (DateTimeException none) {
            throw new Refusal(field, Said.of("There is no such day in the year."));
        }
    }

    private static Refusal refusal(ToldClimate.Fault fault) {
        return switch (fault) {
            case MONTHS_TURNED_ROUND ->
                new Refusal(
                        "warmestMaximum",
                        Said.of("The warmest month is colder than the coldest. Look again which is which."));
            case OTHER_HALF_OF_THE_EARTH ->
                new Refusal(
                        "lastFrost",
                        Said.of(
                                "Here spring's last frost would come after autumn's first. These are dates of the other half of the earth, or the two are turned round."));
            case LAST_SOONER_AT_WORST ->
                new Refusal(
                        "lastFrostAtWorst", Said.of("In the worst year of ten the last frost comes later than usual."));
            case FIRST_LATER_AT_WORST ->
                new Refusal(
                        "firstFrostAtWorst",
                        Said.of("In the worst year of ten the first frost comes sooner than usual."));
            case FROST_ALL_SUMMER ->
                new Refusal(
                        "firstFrostAtWorst",
                        Said.of(
                                "The latest frosts of spring and the first of autumn meet: then there is no summer without frost."));
        };
    }

    private static ClimateEntry entry(ToldClimate told) {
        ToldClimate.Frosts frosts = told.frosts().orElse(null);
        return new ClimateEntry(
                told.coldest().minimum(),
                told.coldest().maximum(),
                told.warmest().minimum(),
                told.warmest().maximum(),
                frosts == null ? null : MONTH_DAY.format(frosts.last()),
                frosts == null ? null : MONTH_DAY.format(frosts.lastAtWorst()),
                frosts == null ? null : MONTH_DAY.format(frosts.first()),
                frosts == null ? null : MONTH_DAY.format(frosts.firstAtWorst()));
    }
}
