package kiver.core.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.IntPredicate;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import kiver.core.crop.Crop;
import kiver.core.crop.Survival;
import kiver.core.growth.DateSpread;
import kiver.core.growth.PaceSpread;
import kiver.core.growth.ProgressSeries;
import kiver.core.order.FrostDates;
import kiver.core.order.OrderLine;
import kiver.core.order.OutdoorSeason;
import kiver.core.order.SiteClimate;
import kiver.core.order.SoilWarmth;
import kiver.core.seed.Germination;
import kiver.core.seed.GerminationNodes;
import kiver.core.sow.Allowances;
import kiver.core.sow.SowQuantity;
import kiver.core.weather.StationRecord;
import org.jspecify.annotations.Nullable;

/**
 * Seed sown where it is to stand instead of plants raised for it: when, how much, and what comes of it.
 *
 * @param from first day on which it may be sown: up within four weeks in nine years of ten, and no frost to harm what is
 *     up in as many; empty where no day of the season is such
 * @param until last day on which it still makes the stage wanted by the target in most years, from one to four weeks after
 *     the first: nobody can be held to a day of dry ground
 * @param up when half of it is up, sown on the first day
 * @param atStage when plants have the leaves that were wanted, sown on the first day
 * @param chanceInTime that they have them by the target, sown on the first day; 0 to 1
 * @param spots places to sow, each for one plant
 * @param seedsPerSpot 1 to 5, to be thinned to one
 * @param chanceEnough that as many plants stand as the grower takes for all; 0 to 1, 0 without seed
 * @param seedsLeft in the lot it would be sown from
 * @param hindrance why it cannot be; empty where it can
 */
public record InPlace(
        Optional<LocalDate> from,
        Optional<LocalDate> until,
        Optional<DateSpread> up,
        Optional<DateSpread> atStage,
        double chanceInTime,
        int spots,
        int seedsPerSpot,
        double chanceEnough,
        int seedsLeft,
        Optional<Hindrance> hindrance) {

    /** Longer in the ground than this, and seed rots, is eaten or crusted over. */
    private static final int MOST_DAYS_IN_THE_GROUND = 28;

    private static final double NINE_OF_TEN = 0.9;
    private static final double MOST_YEARS = 0.5;

    /** What is sown within so many days is one sowing. */
    private static final int LONGEST_WINDOW = 28;

    private static final int SHORTEST_WINDOW = 7;

    /**
     * Share of the seed that would come up under cover which comes up in a seedbed. Reference: Bleasdale (1973), "Plant
     * Physiology in Relation to Horticulture", field factors from 0.4 in poor to 0.8 in good seedbeds.
     */
    private static final double FIELD_FACTOR = 0.7;

    /** Four of five seedlings that come up live to the stage; slugs, birds and crusts make it worth no more than a few sowings. */
    private static final Survival IN_THE_OPEN = new Survival(0.8, 20);

    private static final int MOST_SEEDS_TO_A_SPOT = 5;

    /** More seed to a spot is sown before more than so many spots for one plant are. */
    private static final double SPOTS_FOR_A_PLANT = 1.75;

    private static final int FRESH_PACES_A_YEAR = 8;
    private static final int DAYS_TO_SETTLE = 40;
    private static final int DAYS_LOOKED_AHEAD = 240;

    /**
     * What is asked.
     *
     * @param line wanted
     * @param crop of it
     * @param germination of the lot; null when there is none
     * @param seedsLeft in the lot
     * @param site where it would stand
     * @param frost at the plants there, at the crop's own threshold
     * @param today first day on which it may be sown
     */
    public record Ask(
            OrderLine line,
            Crop crop,
            @Nullable Germination germination,
            int seedsLeft,
            SiteClimate site,
            FrostDates frost,
            LocalDate today) {

        /** Where scenarios must begin, so that the soil has settled by today. */
        public LocalDate firstDay() {
            return today.minusDays(DAYS_TO_SETTLE);
        }

        /** Where scenarios may end. */
        public LocalDate lastDay() {
            return today.plusDays(DAYS_LOOKED_AHEAD);
        }
    }

    /**
     * What comes of it.
     *
     * @param ask what is asked
     * @param scenarios of the station, from {@link Ask#firstDay} to {@link Ask#lastDay}
     */
    public static InPlace of(Ask ask, List<StationRecord> scenarios) {
        List<Ground> grounds =
                scenarios.stream().map(scenario -> new Ground(ask, scenario)).toList();
        // The day is chosen on one pace a year, what comes of it is read from others.
        List<Life> years = lives(ask, grounds, PaceSpread.scatter(grounds.size(), 1, 0.5));
        List<Life> fresh = lives(ask, grounds, PaceSpread.scatter(grounds.size(), FRESH_PACES_A_YEAR, 0.29));
        int latest = DAYS_TO_SETTLE + DAYS_LOOKED_AHEAD - MOST_DAYS_IN_THE_GROUND;
        OptionalInt first = IntStream.rangeClosed(DAYS_TO_SETTLE, latest)
                .filter(sown -> isSafe(ask, years, sown))
                .findFirst();
        Sown sown = quantity(ask);
        if (first.isEmpty()) {
            return new InPlace(
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    0,
                    sown.spots(),
                    sown.seeds(),
                    sown.chance(),
                    ask.seedsLeft(),
                    Optional.of(
                            ask.germination() == null
                                    ? new Hindrance.NoSeedInStore()
                                    : new Hindrance.GroundNeverFit()));
        }
        int day = first.getAsInt();
        double target = ask.line().target().toEpochDay() - ask.firstDay().toEpochDay();
        IntPredicate inTime = each -> share(years, life -> life.atStage(each) <= target) >= MOST_YEARS;
        int last = day;
        while (last < day + LONGEST_WINDOW && last < latest && inTime.test(last + 1)) {
            last++;
        }
        last = Math.max(last, day + SHORTEST_WINDOW);
        return new InPlace(
                Optional.of(ask.firstDay().plusDays(day)),
                Optional.of(ask.firstDay().plusDays(last)),
                spread(ask, fresh.stream().mapToDouble(life -> life.up(day)).toArray()),
                spread(
                        ask,
                        fresh.stream().mapToDouble(life -> life.atStage(day)).toArray()),
                share(fresh, life -> life.atStage(day) <= target),
                sown.spots(),
                sown.seeds(),
                sown.chance(),
                ask.seedsLeft(),
                hindrance(ask, sown));
    }

    private static Optional<Hindrance> hindrance(Ask ask, Sown sown) {
        if (ask.germination() == null) {
            return Optional.of(new Hindrance.NoSeedInStore());
        }
        int needed = sown.spots() * sown.seeds();
        return needed > ask.seedsLeft()
                ? Optional.of(new Hindrance.TooFewSeeds(needed, ask.seedsLeft()))
                : Optional.empty();
    }

    /** Seeds to hand over. */
    public int seeds() {
        return spots * seedsPerSpot;
    }

    /** The chance of enough plants at their stage in time, 0 to 1. */
    public double chance() {
        return seeds() > seedsLeft ? 0 : chanceInTime * chanceEnough;
    }

    private static boolean isSafe(Ask ask, List<Life> years, int sown) {
        if (share(years, life -> life.up(sown) - sown <= MOST_DAYS_IN_THE_GROUND) < NINE_OF_TEN) {
            return false;
        }
        double harmed = years.stream()
                .mapToDouble(life -> life.up(sown))
                .filter(Double::isFinite)
                .map(up -> ask.frost().chanceOfFrost(ask.firstDay().plusDays((long) up)))
                .average()
                .orElse(1);
        return harmed <= OutdoorSeason.FROST_ACCEPTED;
    }

    private static double share(List<Life> years, Predicate<Life> holds) {
        return years.stream().filter(holds).count() / (double) years.size();
    }

    private static Optional<DateSpread> spread(Ask ask, double[] days) {
        return Arrays.stream(days).allMatch(day -> day == ProgressSeries.NEVER)
                ? Optional.empty()
                : DateSpread.of(ask.firstDay(), ask.lastDay(), days);
    }

    /** How thickly it is sown, and the chance that this is enough. */
    private record Sown(int spots, int seeds, double chance) {}

    private static Sown quantity(Ask ask) {
        int plants = ask.line().plants();
        if (ask.germination() == null) {
            return new Sown(plants, 1, 0);
        }
        GerminationNodes known = GerminationNodes.of(ask.germination()).times(FIELD_FACTOR);
        int most = (int) Math.ceil(plants * SPOTS_FOR_A_PLANT);
        for (int seeds = 1; seeds <= MOST_SEEDS_TO_A_SPOT; seeds++) {
            int spots = spots(known, seeds, plants);
            if (spots <= most || seeds == MOST_SEEDS_TO_A_SPOT) {
                int sown = Math.min(spots, most);
                double chance = new SowQuantity(known.withMishaps(), seeds, IN_THE_OPEN)
                        .chanceOfAtLeast(ask.line().accepted(), sown);
                return new Sown(sown, seeds, chance);
            }
        }
        throw new IllegalStateException();
    }

    private static int spots(GerminationNodes known, int seeds, int plants) {
        try {
            return new SowQuantity(known, seeds, IN_THE_OPEN).cellsNeeded(plants, Allowances.USUAL.confidence());
        } catch (IllegalArgumentException noNumberIsEnough) {
            return Integer.MAX_VALUE;
        }
    }

    /** One year's soil and air at the site, with what grows by them summed up day by day. */
    private static final class Ground {

        private final double[] emergence;
        private final double[] leaves;

        Ground(Ask ask, StationRecord year) {
            Crop crop = ask.crop();
            double air = ask.site().offset() + ask.site().protection().nightGain() / 2;
            List<Double> soil = SoilWarmth.daily(year, ask.site().soilOffset());
            List<Double> up = new ArrayList<>();
            List<Double> grown = new ArrayList<>();
            for (int day = 0; day < soil.size(); day++) {
                up.add(crop.emergence().temperatures().rate(soil.get(day))
                        / crop.emergence().daysAtBest());
                grown.add(crop.leaves().temperatures().rate(year.days().get(day).middle() + air)
                        * crop.leaves().leavesPerDayAtBest());
            }
            emergence = summed(up);
            leaves = summed(grown);
        }

        private static double[] summed(List<Double> daily) {
            double[] sums = new double[daily.size() + 1];
            for (int day = 0; day < daily.size(); day++) {
                sums[day + 1] = sums[day] + daily.get(day);
            }
            return sums;
        }

        private static double when(double[] sums, int from, double wanted) {
            if (from >= sums.length) {
                return ProgressSeries.NEVER;
            }
            int found = Arrays.binarySearch(sums, sums[from] + wanted);
            int day = found >= 0 ? found : -found - 1;
            return day >= sums.length ? ProgressSeries.NEVER : day;
        }
    }

    private static List<Life> lives(Ask ask, List<Ground> grounds, double[][] paces) {
        PaceSpread spread = PaceSpread.BEFORE_ANY_COUNT.withFiguresUncertain();
        return IntStream.range(0, paces.length)
                .mapToObj(draw -> new Life(
                        grounds.get(draw % grounds.size()),
                        spread.paceAt(paces[draw][0]),
                        spread.paceAt(paces[draw][1]),
                        ask.line().stage().from()))
                .toList();
    }

    /** A sowing that takes so many times as long as its crop usually does, in one year's ground. */
    private record Life(Ground ground, double emergencePace, double leafPace, double leavesWanted) {

        /** When half of what was sown on a morning is up; never where it does not come up this year. */
        double up(int sown) {
            return Ground.when(ground.emergence, sown, emergencePace);
        }

        /** When it has the leaves that were wanted. */
        double atStage(int sown) {
            double up = up(sown);
            return up == ProgressSeries.NEVER
                    ? up
                    : Ground.when(ground.leaves, (int) Math.ceil(up), leavesWanted * leafPace);
        }
    }
}
