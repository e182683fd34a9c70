package kiver.core.plan;

import java.time.LocalDate;
import java.util.Optional;
import kiver.core.crop.ContainerCode;
import kiver.core.growth.DateSpread;
import kiver.core.order.Pest;

/**
 * Something that stands in the way of a wish, in figures; words for it are chosen where it is shown. What crop, container
 * and day were wished is known there.
 */
public sealed interface Obstacle {

    /** Whether the wish cannot be met at all; otherwise it is a caution. */
    default boolean prevents() {
        return true;
    }

    /** The target date lies beyond the last day that can be looked at. */
    record TooFarAhead(LocalDate lastDay) implements Obstacle {}

    /** A cell is full at so many true leaves, fewer than are wanted. */
    record CellTooSmall(double leavesLimit, int leavesWanted) implements Obstacle {}

    /** Where the seed would lie it is never warm or cool enough. */
    record NeverEmerges() implements Obstacle {}

    /** Where seedlings grow on they never make the true leaves wanted. */
    record NeverGrows(int leavesWanted) implements Obstacle {}

    /** There is time enough, but sown on any day plants are late or past their best; sown today they would be these. */
    record Outgrows(DateSpread ready, DateSpread pastLimit) implements Obstacle {}

    /** The same, where plants sown today would not be ready this season. */
    record OutgrowsBeforeReady() implements Obstacle {}

    /** No sow date is safe on both sides: late, or past their days in the cell or so many true leaves. */
    record NoSafeDay(SowWindow.Limit limit, double leavesLimit) implements Obstacle {
        @Override
        public boolean prevents() {
            return false;
        }
    }

    /** Sown today it would be ready then. */
    record TooLateToSow(DateSpread ready) implements Obstacle {}

    /** Sown today it would not be ready this season. */
    record TooLateForSeason() implements Obstacle {}

    /** Even sown on the best day, in time and not past its best with this chance, 0 to 1. */
    record LowChance(double chance) implements Obstacle {
        @Override
        public boolean prevents() {
            return false;
        }
    }

    /** No lot of this variety is in the store. */
    record NoSeed() implements Obstacle {}

    /** The lot holds fewer seeds than are needed, and there is no time to buy. */
    record TooLittleSeed(int needed, int left) implements Obstacle {}

    /** The lot holds fewer seeds than are needed; bought by this day they come in time. */
    record SeedToBuy(int needed, int left, LocalDate by) implements Obstacle {
        @Override
        public boolean prevents() {
            return false;
        }
    }

    /** The seed lies deeper than half the cell. */
    record CellTooShallow(double seedMillimetres, double cellMillimetres) implements Obstacle {
        @Override
        public boolean prevents() {
            return false;
        }
    }

    /** Sown on the best day, seedlings have this light, mol per m² and day, and stretch below what they need. */
    record TooDark(LocalDate sowDay, double light, double needed) implements Obstacle {
        @Override
        public boolean prevents() {
            return false;
        }
    }

    /** Frost that harms them comes at the site after the target date with this chance, 0 to 1; from this day it hardly does. */
    record FrostAtSite(double harmedAtCelsius, double chance, LocalDate from) implements Obstacle {

        private static final double MORE_LIKELY_THAN_NOT = 0.5;

        @Override
        public boolean prevents() {
            return chance > MORE_LIKELY_THAN_NOT;
        }
    }

    /** The site's soil reaches the warmth they wait for in fewer than half of the years. */
    record SoilNeverWarm(double waitCelsius) implements Obstacle {
        @Override
        public boolean prevents() {
            return false;
        }
    }

    /** The site's soil reaches the warmth they wait for only then. */
    record ColdSoil(double waitCelsius, DateSpread warm) implements Obstacle {
        @Override
        public boolean prevents() {
            return false;
        }
    }

    /** Days to maturity, and what shortening days add, lead back to this day at the latest. */
    record TooLateForAutumn(int maturityDays, LocalDate latest) implements Obstacle {}

    /**
     * Sown then it runs to seed in days of so many hours with such a mean; from that day on it may be sown again; empty
     * where it may not within a year.
     */
    record BoltsInLongDays(double hours, double warmthCelsius, Optional<LocalDate> sowAgainFrom) implements Obstacle {}

    /**
     * A pest is about then: plants may be out by a day before it comes, go out when it has gone, or stand under a cover
     * that keeps it off.
     */
    record PestAbout(Pest pest, LocalDate from, LocalDate until, LocalDate outBy, boolean coverHelps)
            implements Obstacle {
        @Override
        public boolean prevents() {
            return false;
        }
    }

    /** One container holds so many times a cell of the one before. */
    record PotTooLarge(ContainerCode container, ContainerCode before, long times) implements Obstacle {
        @Override
        public boolean prevents() {
            return false;
        }
    }

    /** It does not stand a winter in the cold. */
    record NotOverWinter() implements Obstacle {}

    /** No winter lies before the target day, or where plants would stand it is so mild that they go on growing. */
    record NoWinterRest() implements Obstacle {}

    /** With the leaves wanted it would take notice of the cold and run to seed; below so many it does not. */
    record SeedAfterWinter(int mostLeaves) implements Obstacle {}

    /** Sown today they would not have their leaves by the day on which winter begins for them. */
    record TooLateBeforeWinter(LocalDate restsFrom) implements Obstacle {}

    /** The ground of the site is too cold for roots on the target day; plants go out until one day or from another. */
    record GroundTooCold(LocalDate plantUntil, LocalDate plantFrom) implements Obstacle {
        @Override
        public boolean prevents() {
            return false;
        }
    }

    /** Its root does not take a cell well. */
    record BetterSownInPlace() implements Obstacle {
        @Override
        public boolean prevents() {
            return false;
        }
    }
}
