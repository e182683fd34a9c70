package kiver.benchmark;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import kiver.core.crop.Hardiness;
import kiver.core.harden.Cover;
import kiver.core.harden.Exposure;
import kiver.core.harden.HardeningProgramme;
import kiver.core.harden.Outing;
import kiver.core.weather.DailyRange;
import kiver.core.weather.DayAhead;
import kiver.core.weather.Sky;
import kiver.core.weather.StationClimate;
import kiver.core.weather.StationRecord;
import kiver.core.weather.StationSimulator;

/**
 * Thirty springs of an invented valley, each lived through by the schools of hardening, day by day whatever the weather, and
 * by the same with each day judged by a forecast that errs. What plants bear is made up here and
 * not read off the thresholds that are judged by: it falls off smoothly, and differs with how soft they still are.
 */
public final class HardeningSchools {

    private static final int SPRINGS = 30;
    private static final int FIRST_YEAR = 1997;
    private static final StationClimate VALLEY = new StationClimate(9.2, 10.2, 10.5, 3.2, 0.72);
    private static final double FORECAST_ERROR = 0.8;
    private static final double LOST_TO_HAIL = 0.3;
    private static final int DAYS_ON_THE_FIELD = 5;
    /** Later than this nobody waits for a day on which plants may go out. */
    private static final int MOST_DAYS_LATE = 8;

    private HardeningSchools() {}

    /** A day as it was: temperatures, strongest gust in m/s, mm of rain, whether hail fell, share of sunshine. */
    private record Day(DailyRange range, double gust, double rain, boolean hail, double hailChance, double sun) {}

    /** °C. */
    private static final double RAISED_AT = 18;

    private static final int DAYS_RAISED = 40;

    /** What became of a batch: share lost on the way and on the field, and days late. */
    private record Lived(double lost, int late) {}

    public static void main(String[] arguments) {
        StationRecord record = StationSimulator.draw(
                VALLEY, new SplittableRandom(7_013), LocalDate.of(FIRST_YEAR, 1, 1), (SPRINGS + 1) * 366);
        System.out.println(
                "lost on the way, and on the field for being soft, % of plants; days late, mean of 30 springs");
        System.out.printf("%-28s %-22s %-22s %-22s%n", "", "hardy, 15 Apr", "half-hardy, 5 May", "tender, 20 May");
        for (HardeningProgramme programme : HardeningProgramme.SCHOOLS) {
            print(programme.code(), record, hardiness -> programme, false);
            if (programme.days() > 0) {
                print(programme.code() + ", judged", record, hardiness -> programme, true);
            }
        }
        print("the usual one, judged", record, hardiness -> usual(record, hardiness), true);
    }

    /** For plants from a house of 18 °C, in light enough. */
    private static HardeningProgramme usual(StationRecord record, Hardiness hardiness) {
        double outside = IntStream.range(0, SPRINGS)
                .mapToObj(spring -> target(hardiness, FIRST_YEAR + spring))
                .flatMap(target -> target.minusDays(DAYS_RAISED).datesUntil(target))
                .mapToDouble(day -> record.on(day).middle())
                .average()
                .orElseThrow();
        return HardeningProgramme.usualFor(hardiness, RAISED_AT - outside, 1);
    }

    private interface School {
        HardeningProgramme of(Hardiness hardiness);
    }

    private static void print(String name, StationRecord record, School school, boolean judged) {
        StringBuilder line = new StringBuilder(String.format(Locale.ROOT, "%-28s", name));
        for (Hardiness hardiness : Hardiness.values()) {
            double lost = 0;
            double late = 0;
            for (int spring = 0; spring < SPRINGS; spring++) {
                Lived lived = live(record, hardiness, school.of(hardiness), judged, FIRST_YEAR + spring);
                lost += lived.lost() / SPRINGS;
                late += (double) lived.late() / SPRINGS;
            }
            line.append(String.format(Locale.ROOT, " %5.1f %%, %.1f days %5s", 100 * lost, late, ""));
        }
        System.out.println(line);
    }

    private static LocalDate target(Hardiness hardiness, int year) {
        return switch (hardiness) {
            case HARDY -> LocalDate.of(year, 4, 15);
            case HALF_HARDY -> LocalDate.of(year, 5, 5);
            case TENDER -> LocalDate.of(year, 5, 20);
        };
    }

    private static Lived live(
            StationRecord record, Hardiness hardiness, HardeningProgramme programme, boolean judged, int year) {
        LocalDate target = target(hardiness, year);
        LocalDate day = target.minusDays(programme.days());
        double alive = 1;
        double soft = 1;
        int had = 0;
        while (had < programme.days() && day.isBefore(target.plusDays(MOST_DAYS_LATE))) {
            Day truth = day(record, day);
            Exposure exposure = programme.on(had + 1);
            Outing outing = judged
                    ? Outing.on(hardiness, exposure, true, forecast(truth, day))
                    : new Outing(Outing.Day.OUT, night(exposure.night()), List.of());
            alive *= 1 - lost(hardiness, soft, exposure, outing, truth);
            if (outing.counts()) {
                soft *= Math.exp(-Math.sqrt(outing.hours(exposure)) / 9);
                had++;
            }
            day = day.plusDays(1);
        }
        int late = (int) Math.max(0, day.toEpochDay() - target.toEpochDay());
        Outing planted = new Outing(Outing.Day.OUT, Outing.Night.OUT, List.of());
        for (int after = 0; after < DAYS_ON_THE_FIELD; after++) {
            Day outside = day(record, day.plusDays(after));
            // What the field takes of hardened plants, too, is not for hardening to answer.
            alive *= (1 - lost(hardiness, soft, Exposure.ALL, planted, outside))
                    / (1 - lost(hardiness, 0, Exposure.ALL, planted, outside));
            soft *= 0.9;
        }
        return new Lived(1 - alive, late);
    }

    private static Outing.Night night(Exposure.Night kept) {
        return switch (kept) {
            case IN -> Outing.Night.IN;
            case COVERED -> Outing.Night.FLEECE;
            case OUT -> Outing.Night.OUT;
        };
    }

    /** Share that one day and the night after it take. */
    private static double lost(Hardiness hardiness, double soft, Exposure exposure, Outing outing, Day truth) {
        double lives = 1;
        if (outing.byDay() != Outing.Day.IN) {
            boolean sheltered = outing.byDay() == Outing.Day.SHELTERED || !exposure.inWind();
            double out = Math.min(1, outing.hours(exposure) / 10.0);
            lives *= 1 - out * logistic((truth.gust() - (sheltered ? 5 : 0) - 22 + 8 * soft) / 2.2) * 0.25;
            lives *= 1 - (truth.hail() ? out * (sheltered ? 0.3 : 1) * LOST_TO_HAIL : 0);
            double sunlit = exposure.inSun() ? truth.sun() : 0.3 * truth.sun();
            double afternoon = outing.byDay() == Outing.Day.UNTIL_ONE ? 0.3 : out;
            lives *= 1 - afternoon * soft * sunlit * logistic((truth.range().maximum() - 29) / 2.5) * 0.3;
            lives *= 1
                    - out
                            * soft
                            * logistic((hardiness.floor() + 4 - truth.range().maximum()) / 1.2)
                            * 0.2;
            lives *= 1 - out * soft * (sheltered ? 0.3 : 1) * logistic((truth.rain() - 25) / 5) * 0.15;
        }
        if (outing.atNight() != Outing.Night.IN) {
            double worth = switch (outing.atNight()) {
                case FLEECE -> Cover.FLEECE.worth();
                case FROST_BLANKET -> Cover.FROST_BLANKET.worth();
                default -> 0;
            };
            double bears = hardiness.floor() + 3 * soft;
            // At what it bears one or two in a hundred are lost, half of them two and a half degrees below.
            lives *= 1 - logistic((bears - 2.5 - truth.range().minimum() - worth) / 0.6);
        }
        return 1 - lives;
    }

    private static double logistic(double stress) {
        return 1 / (1 + Math.exp(-stress));
    }

    private static Day day(StationRecord record, LocalDate day) {
        SplittableRandom random = new SplittableRandom(day.toEpochDay() * 911);
        DailyRange range = record.on(day);
        double sun = Math.min(1, Math.max(0, (range.swing() - 3) / 14));
        double gust = 7 * Math.exp(0.42 * random.nextGaussian());
        boolean wet = random.nextDouble() < 0.4 * (1.6 - 1.4 * sun);
        double rain = wet ? -Math.log(1 - random.nextDouble()) * 6 : 0;
        double hailChance = range.maximum() > 19 && wet ? 0.1 + 0.3 * random.nextDouble() : 0;
        return new Day(range, gust, rain, random.nextDouble() < hailChance, hailChance, sun);
    }

    private static DayAhead forecast(Day truth, LocalDate day) {
        SplittableRandom random = new SplittableRandom(day.toEpochDay() * 577);
        double off = FORECAST_ERROR * random.nextGaussian();
        return new DayAhead(
                new DailyRange(truth.range().minimum() + off, truth.range().maximum() + off),
                new Sky(
                        OptionalDouble.of(truth.gust() * Math.exp(0.15 * random.nextGaussian())),
                        OptionalDouble.of(truth.rain() * Math.exp(0.3 * random.nextGaussian())),
                        OptionalDouble.of(truth.hailChance()),
                        OptionalDouble.of(truth.sun())));
    }
}
