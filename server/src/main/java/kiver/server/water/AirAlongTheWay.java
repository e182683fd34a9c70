package kiver.server.water;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kiver.core.batch.BatchState;
import kiver.core.care.AirDemand;
import kiver.core.growth.Season;
import kiver.core.place.ClimateSeries;
import kiver.core.place.PlaceId;

/**
 * The air around a tray: of the places where it stood, as read until today, and of where it stands, as it is most likely to be
 * from then on. Trays that went the same way share it.
 */
final class AirAlongTheWay {

    private static final int DAYS_AHEAD = 6;

    private final Season season;
    private final LocalDate first;
    private final LocalDate end;
    private final Map<PlaceId, List<AirDemand.Day>> byPlace = new HashMap<>();
    private final Map<List<PlaceId>, AirDemand> byWay = new HashMap<>();

    AirAlongTheWay(Season season, LocalDate today, int daysBack) {
        this.season = season;
        LocalDate back = today.minusDays(daysBack);
        first = back.isBefore(season.firstDay()) ? season.firstDay() : back;
        LocalDate ahead = today.plusDays(DAYS_AHEAD);
        LocalDate last = season.lastDay().plusDays(1);
        end = ahead.isAfter(last) ? last : ahead;
    }

    AirDemand around(WaterRound.Standing standing) {
        return byWay.computeIfAbsent(
                way(
                        standing.batch().file().state().placements(),
                        standing.group().place()),
                this::along);
    }

    /** Where a tray stood each day: with its batch, and since that was last moved where the tray itself stands. */
    private List<PlaceId> way(List<BatchState.Placement> placements, PlaceId now) {
        List<PlaceId> way = new ArrayList<>();
        int at = 0;
        for (LocalDate day = first; day.isBefore(end); day = day.plusDays(1)) {
            while (at + 1 < placements.size() && !placements.get(at + 1).from().isAfter(day)) {
                at++;
            }
            way.add(at + 1 < placements.size() ? placements.get(at).place() : now);
        }
        return way;
    }

    private AirDemand along(List<PlaceId> way) {
        List<AirDemand.Day> days = new ArrayList<>();
        for (PlaceId place : way) {
            days.add(byPlace.computeIfAbsent(place, this::days).get(days.size()));
        }
        return AirDemand.of(season.latitude(), first, days);
    }

    private List<AirDemand.Day> days(PlaceId place) {
        List<ClimateSeries> climate = season.climate(place);
        List<AirDemand.Day> days = new ArrayList<>();
        for (LocalDate day = first; day.isBefore(end); day = day.plusDays(1)) {
            int index = (int) (day.toEpochDay() - season.firstDay().toEpochDay());
            days.add(new AirDemand.Day(
                    climate.stream()
                            .mapToDouble(series -> series.minimum(index))
                            .average()
                            .orElseThrow(),
                    climate.stream()
                            .mapToDouble(series -> series.maximum(index))
                            .average()
                            .orElseThrow(),
                    climate.stream()
                            .mapToDouble(series -> series.light(index))
                            .average()
                            .orElseThrow()));
        }
        return days;
    }
}
