package kiver.core.release;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import kiver.core.crop.Crop;
import kiver.core.harden.Cover;
import kiver.core.order.OutdoorSeason;
import kiver.core.order.Protection;
import kiver.core.order.SiteClimate;
import kiver.core.weather.DayAhead;

/**
 * Whether a site can take plants on a day.
 *
 * @param climate of the site, under what covers the plants
 * @param season of the crop there
 * @param soil °C a hand deep today; empty where it is not known
 * @param today first day of the forecast
 * @param forecast of the station, day by day
 */
public record SiteAtPlanting(
        SiteClimate climate, OutdoorSeason season, OptionalDouble soil, LocalDate today, List<DayAhead> forecast) {

    /** Nights after planting in which plants have not yet rooted. */
    private static final int NIGHTS = 5;

    private static final int DAYS_WATERED_BY_HAND = 3;

    /** From so much on plugs dry out while they are planted, °C. */
    private static final double HOT = 24;

    /** Beaufort 6, m/s. */
    private static final double WINDY = 10.8;

    /** So much rain waters plugs in, mm. */
    private static final double WATERS_IN = 5;

    /** Less than that wets nothing, mm. */
    private static final double DRY = 1;

    public SiteAtPlanting {
        forecast = List.copyOf(forecast);
    }

    /**
     * What is to be said to whoever plants, what speaks against it first; never empty.
     *
     * @param crop planted
     * @param day of planting, not before today
     */
    public List<PlantingAdvice> advice(Crop crop, LocalDate day) {
        int at = (int) ChronoUnit.DAYS.between(today, day);
        List<PlantingAdvice> said = new ArrayList<>();
        frost(said, at);
        soil.stream()
                .filter(now -> now < crop.outdoors().soilWait() && at < forecast.size())
                .forEach(now -> said.add(
                        new PlantingAdvice.ColdSoil(now, crop.outdoors().soilWait())));
        season.pestsOn(day)
                .forEach(pest -> said.add(
                        new PlantingAdvice.PestThere(pest.pest(), pest.from(), pest.until(), pest.coverHelps())));
        double chance = season.chanceOfHarm(day.plusDays(NIGHTS));
        if (chance > OutdoorSeason.FROST_ACCEPTED) {
            said.add(new PlantingAdvice.FrostMayCome((int) Math.round(100 * chance), season.from()));
        }
        sky(said, at);
        said.sort((one, other) -> Boolean.compare(other.speaksAgainst(), one.speaksAgainst()));
        return said.isEmpty() ? List.of(new PlantingAdvice.GoodDay()) : List.copyOf(said);
    }

    /** The coldest of the first nights; each is the one that ends on the morning of a day. */
    private void frost(List<PlantingAdvice> said, int at) {
        double coldest = Double.POSITIVE_INFINITY;
        int coldestAt = -1;
        for (int index = at + 1; index <= Math.min(at + NIGHTS, forecast.size() - 1); index++) {
            double minimum = forecast.get(index).range().minimum() + climate.nightOffset();
            if (minimum < coldest) {
                coldest = minimum;
                coldestAt = index;
            }
        }
        if (coldest <= season.threshold()) {
            boolean fleece =
                    climate.protection() != Protection.LOW_COVER && coldest + Cover.FLEECE.worth() > season.threshold();
            said.add(
                    new PlantingAdvice.FrostAhead(today.plusDays(coldestAt - 1L), coldest, season.threshold(), fleece));
        }
    }

    private void sky(List<PlantingAdvice> said, int at) {
        if (at >= forecast.size()) {
            return;
        }
        DayAhead planting = forecast.get(at);
        double warmest = planting.range().maximum() + climate.offset();
        if (warmest >= HOT) {
            said.add(new PlantingAdvice.HotDay(today.plusDays(at), warmest));
        }
        planting.sky().gust().stream()
                .filter(gust -> gust >= WINDY && climate.protection() == Protection.OPEN_GROUND)
                .forEach(gust -> said.add(new PlantingAdvice.WindyDay(today.plusDays(at), gust)));
        if (climate.protection() == Protection.UNHEATED_TUNNEL) {
            return;
        }
        int days = Math.min(DAYS_WATERED_BY_HAND, forecast.size() - at);
        List<DayAhead> first = forecast.subList(at, at + days);
        if (first.stream().anyMatch(each -> each.sky().rain().isEmpty())) {
            return;
        }
        for (int index = 0; index < days; index++) {
            double rain = first.get(index).sky().rain().orElse(0);
            if (rain >= WATERS_IN) {
                said.add(new PlantingAdvice.RainComes(today.plusDays(at + index), rain));
                return;
            }
        }
        if (first.stream().mapToDouble(each -> each.sky().rain().orElse(0)).sum() < DRY) {
            said.add(new PlantingAdvice.NoRain(days));
        }
    }
}
