package kiver.core.outlook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import kiver.core.crop.Crop;
import kiver.core.growth.DateSpread;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.place.Place;
import kiver.core.place.PlaceUse;

/**
 * What can be done for a batch whose day has moved, or that will not keep it.
 *
 * @param season to look into
 * @param crop of the batch
 * @param journey it is on
 */
public record Rescheduling(Season season, Crop crop, Journey journey) {

    private static final int FURTHEST = 70;

    /**
     * Growing on somewhere else.
     *
     * @param way then
     * @param warmer K that the new place is warmer in the mean; negative for holding
     * @param ready then
     * @param pastLimit then
     * @param chance of being fit on the day wanted, 0 to 1
     */
    public record Elsewhere(
            Way way, double warmer, Optional<DateSpread> ready, Optional<DateSpread> pastLimit, double chance) {}

    /** The forecast if nothing is done, for a day. */
    public BatchForecast asItIs(LocalDate target) {
        return forecast(journey.way(), target);
    }

    /**
     * Every other place where it could grow on, best chance first; empty once it hardens.
     *
     * @param target the day wanted
     * @param today for the places' temperatures
     */
    public List<Elsewhere> elsewhere(LocalDate target, LocalDate today) {
        List<Elsewhere> found = new ArrayList<>();
        if (journey.standing().hardeningStarted()) {
            return found;
        }
        Way way = journey.way();
        double here = season.meanTemperature(way.growingOn(), today, 21);
        for (Place place : season.places()) {
            if (place.suits(PlaceUse.GROWING_ON) && !place.id().equals(way.growingOn())) {
                Way other = new Way(way.emergence(), place.id(), way.hardening());
                BatchForecast forecast = forecast(other, target);
                found.add(new Elsewhere(
                        other,
                        season.meanTemperature(place.id(), today, 21) - here,
                        forecast.ready(),
                        forecast.pastLimit(),
                        forecast.chanceOnTarget()));
            }
        }
        found.sort(Comparator.comparingDouble((Elsewhere each) -> -each.chance()));
        return List.copyOf(found);
    }

    /**
     * The day near a wanted one on which the batch as it stands is most surely fit: the nearest with at least the
     * chance asked for, else the one with the best.
     *
     * @param target the day wanted
     * @param today days before it are not thought of
     * @param enough chance that is as good as any, 0 to 1
     */
    public LocalDate bestDayNear(LocalDate target, LocalDate today, double enough) {
        LocalDate best = target;
        double bestChance = -1;
        for (int away = 0; away <= FURTHEST; away++) {
            for (int sign : new int[] {1, -1}) {
                LocalDate day = target.plusDays((long) sign * away);
                if (day.isBefore(today) || day.isAfter(season.lastDay())) {
                    continue;
                }
                double chance = forecast(journey.way(), day).chanceOnTarget();
                if (chance >= enough) {
                    return day;
                }
                if (chance > bestChance + 1e-9) {
                    bestChance = chance;
                    best = day;
                }
            }
        }
        return best;
    }

    private BatchForecast forecast(Way along, LocalDate target) {
        return BatchForecast.of(
                journey.path(),
                journey.standing(),
                season.scenarios(along, crop.development(), journey.paces()),
                season.freshDraws(along, crop.development(), journey.paces()),
                target);
    }
}
