package kiver.core.order;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.core.crop.Crop;
import kiver.core.growth.DateSpread;
import kiver.core.weather.Daylight;
import kiver.core.weather.StationRecord;

/**
 * When a crop may stand at a site.
 *
 * @param frost frost dates at the plants, at the crop's own threshold
 * @param threshold °C that harms it
 * @param lastFrost in spring, when there is any that harms it
 * @param firstFrost in autumn, when there is any that harms it
 * @param soil when the soil is warm enough; empty when the crop does not wait for it
 * @param soilNeverWarm whether the crop waits for soil that never gets so warm here
 * @param from the first day on which it may go out: frost still comes in at most one year of ten, and the soil is
 *     warm in every other year
 * @param fromBecause what sets that day
 * @param until the last day on which it may go out to be harvested before frost or dark; empty when harvest is not
 *     the aim
 * @param averageLastFrost the day that the rules of thumb go by: half of the years have had their last air frost of
 *     0 °C in open ground at the site's height
 * @param averageFirstFrost the same in autumn
 * @param longDays days that make it run to seed
 * @param ground when it is too cold for roots, before the midsummer that comes next; empty where it never is
 * @param protection over the plants
 * @param pests that go for it, around that season
 */
public record OutdoorSeason(
        FrostDates frost,
        double threshold,
        Optional<DateSpread> lastFrost,
        Optional<DateSpread> firstFrost,
        Optional<DateSpread> soil,
        boolean soilNeverWarm,
        LocalDate from,
        Reason fromBecause,
        Optional<LocalDate> until,
        Optional<LocalDate> averageLastFrost,
        Optional<LocalDate> averageFirstFrost,
        LongHotDays longDays,
        Optional<GroundRest> ground,
        Protection protection,
        List<PestTime> pests) {

    public OutdoorSeason {
        pests = List.copyOf(pests);
    }

    /** What sets the first day. */
    public enum Reason {
        NOTHING,
        FROST,
        SOIL
    }

    /** Frost is accepted in one year of ten. */
    public static final double FROST_ACCEPTED = 0.1;

    /** Below this many hours of day plants no longer grow to speak of. */
    private static final double SHORTEST_GROWING_DAY = 10;

    /**
     * The season of a crop at a site.
     *
     * @param crop to be planted
     * @param site where
     * @param record of the station
     * @param latitude degrees, north positive
     * @param day any day of the season
     * @throws IllegalArgumentException when the record holds no whole season
     */
    public static OutdoorSeason of(Crop crop, SiteClimate site, StationRecord record, double latitude, LocalDate day) {
        boolean northern = latitude >= 0;
        double threshold = crop.hardiness().harmedAt();
        FrostDates frost = FrostDates.of(record, site.nightOffset(), threshold, northern);
        FrostDates airFrost = FrostDates.of(record, site.offset(), 0, northern);
        boolean waits = crop.outdoors().soilWait() > 0;
        Optional<DateSpread> soil = waits
                ? SoilWarmth.reached(record, site.soilOffset(), crop.outdoors().soilWait(), day, northern)
                : Optional.empty();
        LocalDate midsummer = FrostDates.midsummerOf(day, northern);
        LocalDate frostFree = frost.safeFrom(day, FROST_ACCEPTED);
        LocalDate warm = soil.map(DateSpread::middle).orElse(frostFree);
        boolean frostless = frostFree.isBefore(midsummer.minusDays(180));
        Reason because = warm.isAfter(frostFree) ? Reason.SOIL : frostless ? Reason.NOTHING : Reason.FROST;
        return new OutdoorSeason(
                frost,
                threshold,
                frost.spring(day),
                frost.autumn(day),
                soil,
                waits && soil.isEmpty(),
                warm.isAfter(frostFree) ? warm : frostFree,
                because,
                lastPlanting(crop, frost.safeUntil(day, FROST_ACCEPTED), midsummer, latitude),
                airFrost.spring(day).map(DateSpread::middle),
                airFrost.autumn(day).map(DateSpread::middle),
                LongHotDays.of(crop.outdoors().longDays(), site.offset(), record, latitude),
                GroundRest.about(site, record, day, northern),
                site.protection(),
                List.of());
    }

    /** The same with the pests that are about at the site. */
    public OutdoorSeason with(List<PestTime> about) {
        return new OutdoorSeason(
                frost,
                threshold,
                lastFrost,
                firstFrost,
                soil,
                soilNeverWarm,
                from,
                fromBecause,
                until,
                averageLastFrost,
                averageFirstFrost,
                longDays,
                ground,
                protection,
                about);
    }

    /** Pests that find plants small when they go out on a day. */
    public List<PestTime> pestsOn(LocalDate planted) {
        return pests.stream().filter(pest -> pest.meets(planted, protection)).toList();
    }

    /**
     * Counts back from the first frost: each day counts for as much as it is long against the longest, so that the
     * shortening days of autumn get their allowance; 60 days that end in mid October at 46° take 72, the two weeks
     * that growers allow.
     */
    private static Optional<LocalDate> lastPlanting(Crop crop, LocalDate frost, LocalDate midsummer, double latitude) {
        if (crop.outdoors().maturityDays() == 0) {
            return Optional.empty();
        }
        double longest = Daylight.dayLength(latitude, midsummer.minusDays(31));
        LocalDate day = frost;
        while (day.isAfter(midsummer) && Daylight.dayLength(latitude, day) < SHORTEST_GROWING_DAY) {
            day = day.minusDays(1);
        }
        return Optional.of(Ripening.plantedBy(day, crop.outdoors().maturityDays(), longest, latitude));
    }

    /** The rule of thumb for sowing: weeks from the average last frost; empty where there is no frost. */
    public Optional<LocalDate> ruleForSowing(Crop crop) {
        return averageLastFrost.map(
                day -> day.plusDays(Math.round(7 * crop.outdoors().sowWeeks())));
    }

    /** The rule of thumb for planting out. */
    public Optional<LocalDate> ruleForPlanting(Crop crop) {
        return averageLastFrost.map(
                day -> day.plusDays(Math.round(7 * crop.outdoors().plantWeeks())));
    }

    /** The rule of thumb for the last planting: days to harvest and two weeks more before the average first frost. */
    public Optional<LocalDate> ruleForLastPlanting(Crop crop) {
        return crop.outdoors().maturityDays() == 0
                ? Optional.empty()
                : averageFirstFrost.map(day -> day.minusDays(crop.outdoors().maturityDays() + 14L));
    }

    /** The chance that frost harms plants put out on that day, 0 to 1. */
    public double chanceOfHarm(LocalDate day) {
        return frost.chanceOfFrost(day);
    }
}
