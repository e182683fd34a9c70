package kiver.core.outlook;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.growth.DateSpread;
import kiver.core.growth.Scenario;
import kiver.core.growth.Season;
import kiver.core.space.Occupancy;
import kiver.core.space.OccupancySpread;
import kiver.core.space.Stay;

/**
 * The room that all batches take together in the weather of past years: over all of them, and in any one.
 *
 * @param season ahead
 * @param today the day
 */
public record RoomInYears(Season season, LocalDate today) {

    /**
     * How a batch goes in the weather of one past year.
     *
     * @param stays room it takes
     * @param ready first day on which it is fit for release; empty where the year does not get it so far
     * @param pastBest day on which it is past its best; empty where it never is
     */
    public record Course(
            BatchOutlook batch, List<Stay> stays, Optional<LocalDate> ready, Optional<LocalDate> pastBest) {

        /** What goes wrong with it by the day on which it is wanted; empty where nothing does. */
        public Optional<GoesWrong> goesWrong() {
            return GoesWrong.of(batch.file().batch().target(), ready, pastBest);
        }

        /** Whether the same goes wrong as most likely, so that this year is not to blame. */
        public boolean isUsual() {
            Optional<GoesWrong> usual = GoesWrong.of(
                    batch.file().batch().target(),
                    batch.forecast().ready().map(DateSpread::middle),
                    batch.forecast().pastLimit().map(DateSpread::middle));
            return usual.isPresent() && usual.equals(goesWrong());
        }
    }

    /** What can go wrong with a batch by the day on which it is wanted. */
    public enum GoesWrong {
        LATE,
        NEVER_READY,
        PAST_BEST;

        private static Optional<GoesWrong> of(
                LocalDate target, Optional<LocalDate> ready, Optional<LocalDate> pastBest) {
            if (ready.isEmpty()) {
                return Optional.of(NEVER_READY);
            }
            if (ready.get().isAfter(target)) {
                return Optional.of(LATE);
            }
            return pastBest.filter(day -> day.isBefore(target)).map(day -> PAST_BEST);
        }
    }

    /**
     * Over all past years. The weather of a year is the same for all batches; how fast each of them is has nothing to do with
     * the others, so the paces of its draws are dealt out to the ways by each batch in an order of its own.
     */
    public OccupancySpread spread(Collection<BatchOutlook> batches) {
        return OccupancySpread.of(
                season.places(),
                today,
                days(),
                season.scenarios() * Season.DRAWS_A_YEAR,
                batches.stream().filter(batch -> !batch.stays().isEmpty()).map(this::dealtOut));
    }

    private List<List<Stay>> dealtOut(BatchOutlook batch) {
        List<List<Stay>> drawn = ahead(batch)
                .inEach(season.freshDraws(
                        batch.way(), batch.crop().development(), batch.journey().paces()));
        return IntStream.range(0, drawn.size())
                .mapToObj(way -> drawn.get(dealt(way, batch.number(), drawn.size())))
                .toList();
    }

    /** Which of a batch's draws it has in a way: one of the same year. */
    private int dealt(int way, int batch, int draws) {
        int years = season.scenarios();
        int drawsAYear = draws / years;
        int year = way % years;
        int turn = Math.floorMod(Integer.rotateLeft(batch * 0x9E3779B1 + year * 0x85EBCA6B, 15), drawsAYear);
        return year + years * ((way / years + turn) % drawsAYear);
    }

    /**
     * In the weather of one past year, every batch at its middling pace.
     *
     * @param year index of the season's weather scenario
     */
    public List<Course> courses(Collection<BatchOutlook> batches, int year) {
        return batches.stream()
                .filter(batch -> !batch.stays().isEmpty())
                .map(batch -> course(batch, year))
                .toList();
    }

    /** How full the places are on those courses. */
    public Occupancy occupancy(List<Course> courses) {
        return Occupancy.of(
                season.places(),
                courses.stream()
                        .collect(Collectors.toMap(course -> course.batch().number(), Course::stays)),
                today,
                days());
    }

    private Course course(BatchOutlook batch, int year) {
        Scenario scenario = season.inYear(
                year, batch.way(), batch.crop().development(), batch.journey().paces());
        var passed = batch.path().from(batch.standing(), scenario);
        return new Course(
                batch, ahead(batch).inEach(List.of(scenario)).get(0), day(passed.ready()), day(passed.pastLimit()));
    }

    private Optional<LocalDate> day(double time) {
        boolean inSeason = time < ChronoUnit.DAYS.between(season.firstDay(), season.lastDay()) + 1;
        return inSeason ? Optional.of(season.firstDay().plusDays((long) time)) : Optional.empty();
    }

    private RoomAhead ahead(BatchOutlook batch) {
        return new RoomAhead(batch.file(), batch.containers(), batch.journey(), today);
    }

    /** From today to the season's end. */
    private int days() {
        return (int) ChronoUnit.DAYS.between(today, season.lastDay()) + 1;
    }
}
