package kiver.core.today;

import java.time.LocalDate;
import java.util.Optional;
import kiver.core.batch.RootsSeen;
import kiver.core.harden.Outing;

/** Why a piece of work is called for, in figures; words for it are chosen where it is shown. */
public sealed interface WhyNow {

    /**
     * Its seed is to lie in water before it is sown.
     *
     * @param hours in water, 1 or more
     * @param sowDay on which it is sown then
     */
    record ToBeSoaked(int hours, LocalDate sowDay) implements WhyNow {}

    /**
     * Nothing of the batch is sown.
     *
     * @param planned day of sowing, today or gone by
     * @param lastUseful day on which a sowing is still in time nine times in ten; may have gone by; empty when unknown
     */
    record ToBeSown(LocalDate planned, Optional<LocalDate> lastUseful) implements WhyNow {}

    /** Plants that were bought in are to arrive, today or on a day gone by. */
    record ToArrive(LocalDate planned) implements WhyNow {}

    /** Some of it is sown and so many trays, 1 or more, wait. */
    record PartSown(int traysToGo) implements WhyNow {}

    /** The night was too cold where it stood, °C, and nobody has looked yet. */
    record NightWasCold(double minimumCelsius) implements WhyNow {}

    /**
     * Fewer will reach their release than the grower takes as whole.
     *
     * @param alive plants now
     * @param moreMayCome whether cells are still waited for
     * @param needed plants
     * @param resowBy last day on which a resowing is still in time; empty when it has gone by or is unknown
     */
    record Short(int alive, boolean moreMayCome, int needed, Optional<LocalDate> resowBy) implements WhyNow {}

    /** So many cells, 1 or more, should show something; the last count, if there was one, is old. */
    record DueToBeCounted(long expected, Optional<LocalDate> lastCounted) implements WhyNow {}

    /** So many cells should show something and fewer were counted. */
    record Late(long expected, int counted) implements WhyNow {}

    /** So many of the cells sown are up and still stand where it is too warm and dark for them. */
    record IsUp(int up, int sown) implements WhyNow {}

    /**
     * Its roots have outgrown what it stands in.
     *
     * @param alive plants
     * @param into the container that they go into next; empty where they stand in their last
     */
    record RootsHaveOutgrown(RootsSeen roots, int alive, Optional<String> into) implements WhyNow {}

    /**
     * Its mix feeds it no more, or it is time again.
     *
     * @param reserveEnds day from which its mix has nothing more to give
     */
    record WantsFeed(LocalDate reserveEnds, Optional<LocalDate> lastFed) implements WhyNow {}

    /** Its tops are brushed each day, as this nursery does with its crop. */
    record WantsBrushing() implements WhyNow {}

    /** It has so many true leaves, at which this nursery takes out the tips. */
    record HasLeavesForPinching(long leaves) implements WhyNow {}

    /** It has so many true leaves and may show flowers, which this nursery takes off. */
    record MayFlower(long leaves, Optional<LocalDate> lastTaken) implements WhyNow {}

    /**
     * It has the leaves for its next container.
     *
     * @param container that container by name
     * @param by last day on which it should go on, most likely; empty where that is not in sight
     */
    record ReadyForPotting(int plants, String container, Optional<LocalDate> by) implements WhyNow {}

    /** It has its leaves and was raised so cool that it needs no hardening. */
    record NeedsNoHardening() implements WhyNow {}

    /** It has its leaves, and is to stand over winter, cold, until a day; it gets used to the open in so many days. */
    record StandsOverWinter(int days, LocalDate target) implements WhyNow {}

    /** It has its leaves, and so many days of hardening are left until it is wanted. */
    record HardeningIsDue(int days, LocalDate target) implements WhyNow {}

    /** So many days of hardening, all of its programme, are done. */
    record HardeningIsDone(int days) implements WhyNow {}

    /**
     * A day of its hardening.
     *
     * @param day counted from 1
     * @param ofDays that it takes
     * @param hours out of doors that its programme asks for, 1 to 24
     * @param inSun whether in the sun; else in the shade
     * @param inWind whether in the wind; else sheltered
     * @param byDay what becomes of it by the forecast
     * @param because why it is not as its programme says; empty where it is
     * @param tooColdAtNight whether the night that follows asks for something else than its programme
     * @param atNight where it spends that night
     */
    record HardeningGoesOn(
            int day,
            int ofDays,
            int hours,
            boolean inSun,
            boolean inWind,
            Outing.Day byDay,
            Optional<Outing.Cause> because,
            boolean tooColdAtNight,
            Outing.Night atNight)
            implements WhyNow {}

    /** The day on which it is, or was, wanted. */
    record IsWanted(LocalDate target) implements WhyNow {}

    /** So many spares were kept since that day and nobody has asked for them. */
    record SparesAreKept(int plants, LocalDate since) implements WhyNow {}

    /** It is likely past its best from a day on, before it is wanted. */
    record PastItsBestTooSoon(LocalDate from, LocalDate target) implements WhyNow {}

    /** It is hardly ready in time; the likely day is empty when it is not ready this season. */
    record NotReadyInTime(Optional<LocalDate> ready, LocalDate target) implements WhyNow {}
}
