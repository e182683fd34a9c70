package kiver.server.today;

import jakarta.annotation.Nullable;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import kiver.core.batch.BatchStage;
import kiver.core.batch.CellCondition;
import kiver.core.growth.DateSpread;
import kiver.core.growth.Season;
import kiver.core.harden.Exposure;
import kiver.core.harden.HardeningProgramme;
import kiver.core.harden.Outing;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.HardeningAhead;
import kiver.core.place.Place;
import kiver.core.today.WorkPace;
import kiver.core.tray.TrayId;
import kiver.core.weather.DayAhead;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import kiver.server.weather.WeatherBook;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The coming days of all that hardens off: what goes out, what stays in, what is carried and covered. */
@RestController
class HardeningDaysController {

    private static final double SECONDS_IN_MINUTE = 60;

    private final BatchAnalyst analyst;
    private final SeasonService seasons;
    private final WeatherBook weather;
    private final TrayBook trays;
    private final HandsBook hands;
    private final NurseryClock clock;

    HardeningDaysController(
            BatchAnalyst analyst,
            SeasonService seasons,
            WeatherBook weather,
            TrayBook trays,
            HandsBook hands,
            NurseryClock clock) {
        this.analyst = analyst;
        this.seasons = seasons;
        this.weather = weather;
        this.trays = trays;
        this.hands = hands;
        this.clock = clock;
    }

    /**
     * A day as it is forecast outdoors.
     *
     * @param gust m/s; missing where nothing is said of it, as the others
     * @param rain mm
     * @param hail chance, 0 to 1
     * @param sun share of the day, 0 to 1
     */
    record SkyOfDay(
            LocalDate day,
            double minimum,
            double maximum,
            @Nullable Double gust,
            @Nullable Double rain,
            @Nullable Double hail,
            @Nullable Double sun) {}

    /**
     * A day of a batch's hardening.
     *
     * @param ofProgramme day of its programme, counted from 1
     * @param hours out of doors that the programme asks for
     * @param hoursOut out of doors by the forecast; 0 where it stays in
     * @param counts whether it is had; else the end moves by a day
     */
    record OutingView(
            LocalDate day,
            int ofProgramme,
            int hours,
            int hoursOut,
            boolean inSun,
            boolean inWind,
            Exposure.Night night,
            Outing.Day byDay,
            Outing.Night atNight,
            List<Outing.Cause> because,
            boolean counts) {}

    /**
     * A batch that hardens.
     *
     * @param programme its code
     * @param programmeName that the nursery gave it; empty for a school
     * @param hadToday whether its day of today is noted
     * @param missed days of those ahead on which it has to stay in
     * @param lastDay of its programme, as far as the forecast tells
     * @param ready when it is over, with the days missed of other years beyond the forecast
     * @param tooLate whether that is after the day on which it is wanted
     */
    record HardeningBatch(
            int batch,
            String variety,
            String crop,
            String place,
            String inside,
            List<Integer> trays,
            int plants,
            String programme,
            String programmeName,
            int daysDone,
            int ofDays,
            boolean hadToday,
            int missed,
            LocalDate lastDay,
            @Nullable DateSpread ready,
            LocalDate target,
            boolean tooLate,
            List<OutingView> days) {}

    /**
     * Trays to carry or to cover.
     *
     * @param from where they stand
     * @param to where they go; the same where they are covered
     * @param minutes of one pair of hands
     */
    record Carrying(
            int batch,
            String variety,
            List<Integer> trays,
            String from,
            String to,
            Outing.Night night,
            double minutes) {}

    /**
     * What hardens off.
     *
     * @param out what goes out this morning, what stands out longest first
     * @param in what comes in this evening, the most tender first, whether its day is noted or not
     * @param cover what is covered this evening
     * @param outMinutes until all is out, with so many hands
     * @param inMinutes until all is in and covered, with so many hands
     */
    record HardeningDaysView(
            List<SkyOfDay> sky,
            List<HardeningBatch> batches,
            List<Carrying> out,
            List<Carrying> in,
            List<Carrying> cover,
            double outMinutes,
            double inMinutes) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/hardening")
    HardeningDaysView hardening(
            @RequestParam(defaultValue = "1")
                    @Min(value = 1, message = "Say how many carry, 1 to 30.")
                    @Max(value = 30, message = "Say how many carry, 1 to 30.")
                    int people) {
        LocalDate today = clock.today();
        List<DayAhead> forecast = weather.ahead(today);
        Season season = seasons.season();
        Map<TrayId, Integer> numbers = trays.all().stream().collect(Collectors.toMap(Tray::trayId, Tray::number));
        List<BatchOutlook> hardening = analyst.all().stream()
                .filter(batch -> batch.trouble().isEmpty()
                        && batch.stage() == BatchStage.HARDENING_OFF
                        && batch.file().plantsAlive() > 0)
                .sorted(Comparator.comparing(
                                (BatchOutlook batch) -> batch.crop().hardiness().floor())
                        .reversed()
                        .thenComparing(batch -> batch.file().batch().target()))
                .toList();
        List<HardeningBatch> batches = new ArrayList<>();
        List<Carrying> out = new ArrayList<>();
        List<Carrying> in = new ArrayList<>();
        List<Carrying> cover = new ArrayList<>();
        WorkPace pace = hands.pace();
        for (BatchOutlook batch : hardening) {
            Place standsOut = season.place(batch.way().hardening());
            HardeningAhead ahead = HardeningAhead.of(batch, standsOut, today, forecast);
            HardeningBatch view = view(batch, ahead, season, standsOut, numbers, today);
            batches.add(view);
            if (forecast.isEmpty()) {
                continue;
            }
            // What was out today stands there until somebody fetches it, though its day is noted.
            int dayBefore = view.hadToday() ? view.daysDone() - 1 : view.daysDone();
            Outing now = HardeningAhead.outing(batch, standsOut, forecast.get(0), dayBefore);
            boolean goesOut = !view.hadToday() && view.daysDone() < view.ofDays() && now.byDay() != Outing.Day.IN;
            boolean stoodOutLastNight = dayBefore > 0
                    && HardeningAhead.programme(batch).on(dayBefore).night() != Exposure.Night.IN;
            if (goesOut && !stoodOutLastNight) {
                out.add(carrying(view, view.inside(), view.place(), now.atNight(), pace));
            }
            boolean isOut = goesOut || view.hadToday() || stoodOutLastNight;
            if (isOut && now.atNight() == Outing.Night.IN) {
                in.add(carrying(view, view.place(), view.inside(), Outing.Night.IN, pace));
            } else if (isOut && now.atNight() != Outing.Night.OUT) {
                cover.add(carrying(view, view.place(), view.place(), now.atNight(), pace));
            }
        }
        out.sort(Comparator.comparing((Carrying each) -> -hoursToday(batches, each.batch(), today)));
        return new HardeningDaysView(
                sky(forecast, today),
                batches,
                out,
                in,
                cover,
                minutes(out) / people,
                (minutes(in) + minutes(cover)) / people);
    }

    private static int hoursToday(List<HardeningBatch> batches, int number, LocalDate today) {
        return batches.stream()
                .filter(batch -> batch.batch() == number)
                .flatMap(batch -> batch.days().stream())
                .filter(day -> day.day().equals(today))
                .mapToInt(OutingView::hours)
                .findFirst()
                .orElse(0);
    }

    private static double minutes(List<Carrying> all) {
        return all.stream().mapToDouble(Carrying::minutes).sum();
    }

    private static Carrying carrying(HardeningBatch batch, String from, String to, Outing.Night night, WorkPace pace) {
        return new Carrying(
                batch.batch(),
                batch.variety(),
                batch.trays(),
                from,
                to,
                night,
                batch.trays().size() * pace.carrying() / SECONDS_IN_MINUTE);
    }

    private static HardeningBatch view(
            BatchOutlook batch,
            HardeningAhead ahead,
            Season season,
            Place standsOut,
            Map<TrayId, Integer> numbers,
            LocalDate today) {
        var state = batch.file().state();
        LocalDate target = batch.file().batch().target();
        HardeningProgramme programme = HardeningAhead.programme(batch);
        return new HardeningBatch(
                batch.number(),
                batch.file().batch().variety(),
                batch.crop().name(),
                standsOut.name(),
                season.place(batch.file().batch().way().growingOn()).name(),
                state.trays().stream()
                        .filter(tray ->
                                !state.cellsIn(tray, CellCondition.ALIVE).isEmpty())
                        .map(numbers::get)
                        .sorted()
                        .toList(),
                batch.file().plantsAlive(),
                programme.code(),
                programme.name(),
                state.hardeningDays(),
                state.programmeDays(),
                state.lastHardeningDay().filter(today::equals).isPresent(),
                ahead.missed(),
                ahead.lastDay(),
                batch.forecast().ready().orElse(null),
                target,
                ahead.lastDay().isAfter(target),
                ahead.days().stream()
                        .map(day -> new OutingView(
                                day.day(),
                                day.ofProgramme(),
                                day.exposure().hours(),
                                day.outing().hours(day.exposure()),
                                day.exposure().inSun(),
                                day.exposure().inWind(),
                                day.exposure().night(),
                                day.outing().byDay(),
                                day.outing().atNight(),
                                day.outing().because(),
                                day.outing().counts()))
                        .toList());
    }

    private static List<SkyOfDay> sky(List<DayAhead> forecast, LocalDate today) {
        List<SkyOfDay> days = new ArrayList<>();
        for (DayAhead day : forecast) {
            days.add(new SkyOfDay(
                    today.plusDays(days.size()),
                    day.range().minimum(),
                    day.range().maximum(),
                    orNull(day.sky().gust()),
                    orNull(day.sky().rain()),
                    orNull(day.sky().hail()),
                    orNull(day.sky().sun())));
        }
        return days;
    }

    @Nullable
    private static Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
