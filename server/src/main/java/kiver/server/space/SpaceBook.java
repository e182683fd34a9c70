package kiver.server.space;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.growth.Season;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.RoomRelief;
import kiver.core.outlook.SpaceSuggestion;
import kiver.core.space.Occupancy;
import kiver.core.space.Stay;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import org.springframework.stereotype.Component;

/** Tells how full the places are from today to the end of the season looked at, and what could be done where they are. */
@Component
public class SpaceBook {

    private final BatchOutlooks batches;
    private final SeasonService seasons;
    private final NurseryClock clock;

    SpaceBook(BatchOutlooks batches, SeasonService seasons, NurseryClock clock) {
        this.batches = batches;
        this.seasons = seasons;
        this.clock = clock;
    }

    /** The occupancy by all batches. */
    public Occupancy occupancy() {
        return occupancy(batches.all());
    }

    /** The occupancy by some batches. */
    public Occupancy occupancy(Collection<BatchOutlook> some) {
        LocalDate today = clock.today();
        Season season = seasons.season(today);
        Map<Integer, List<Stay>> stays =
                some.stream().collect(Collectors.toMap(BatchOutlook::number, BatchOutlook::stays));
        return Occupancy.of(season.places(), stays, today, (int) ChronoUnit.DAYS.between(today, season.lastDay()) + 1);
    }

    /** What could be done about days on which a place is over-full. */
    List<SpaceSuggestion> suggestions(RoomRelief.Crowded crowded) {
        List<BatchOutlook> all = batches.all();
        LocalDate today = clock.today();
        return new RoomRelief(
                        seasons.season(today),
                        today,
                        occupancy(all),
                        (batch, plan) ->
                                batches.trial(batch, batch.file().batch().with(plan)))
                .suggestions(crowded, all);
    }
}
