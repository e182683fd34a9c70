package kiver.core.outlook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kiver.core.batch.BatchState;
import kiver.core.harden.Exposure;
import kiver.core.harden.HardeningProgramme;
import kiver.core.harden.Outing;
import kiver.core.place.Place;
import kiver.core.weather.DayAhead;

/**
 * The coming days of a batch's hardening, each judged by the forecast where it stands out.
 *
 * @param days from the first that is still to be had, as far as the forecast reaches or the programme goes
 * @param missed of them, on which it has to stay in
 * @param lastDay of its programme, if no further day is missed after those
 */
public record HardeningAhead(List<Day> days, int missed, LocalDate lastDay) {

    /** As the programme says: where nothing is forecast. */
    public static final Outing AS_PLANNED = new Outing(Outing.Day.OUT, Outing.Night.IN, List.of());

    /**
     * A day of it.
     *
     * @param day date
     * @param ofProgramme the day of its programme that it is, counted from 1; a day that is missed is had later
     * @param exposure that its programme asks for
     * @param outing what becomes of it
     */
    public record Day(LocalDate day, int ofProgramme, Exposure exposure, Outing outing) {}

    /**
     * The days ahead of a batch that hardens.
     *
     * @param batch whose hardening has begun and is not over
     * @param standsOut where
     * @param today first day of the forecast
     * @param forecast outdoors, from today on
     */
    public static HardeningAhead of(BatchOutlook batch, Place standsOut, LocalDate today, List<DayAhead> forecast) {
        BatchState state = batch.file().state();
        boolean hadToday = state.lastHardeningDay().filter(today::equals).isPresent();
        int done = state.hardeningDays();
        int missed = 0;
        List<Day> days = new ArrayList<>();
        LocalDate last = today;
        for (int at = hadToday ? 1 : 0; at < forecast.size() && done < state.programmeDays(); at++) {
            last = today.plusDays(at);
            Outing outing = outing(batch, standsOut, forecast.get(at), done);
            days.add(new Day(last, done + 1, programme(batch).on(done + 1), outing));
            if (outing.counts()) {
                done++;
            } else {
                missed++;
            }
        }
        boolean nothingAhead = days.isEmpty();
        int left = state.programmeDays() - done;
        return new HardeningAhead(
                List.copyOf(days),
                missed,
                nothingAhead && !hadToday ? today.plusDays(Math.max(0, left - 1)) : last.plusDays(left));
    }

    /**
     * What becomes of a day of a batch's hardening.
     *
     * @param standsOut where
     * @param outside forecast outdoors
     * @param daysDone of its programme before that day
     */
    public static Outing outing(BatchOutlook batch, Place standsOut, DayAhead outside, int daysDone) {
        BatchState state = batch.file().state();
        return Outing.on(
                batch.crop().hardiness(),
                programme(batch).on(daysDone + 1),
                daysDone < state.programmeDays(),
                new DayAhead(standsOut.climate().inside(outside.range()), outside.sky()));
    }

    /** The programme it is on: as planned, or the school that takes as long as was begun. */
    public static HardeningProgramme programme(BatchOutlook batch) {
        return HardeningProgramme.taking(
                batch.file().state().programmeDays(), batch.file().batch().hardeningProgramme());
    }
}
