package kiver.server.space;

import java.time.LocalDate;
import java.util.stream.Collectors;
import kiver.core.space.Occupancy;
import kiver.server.clock.NurseryClock;
import kiver.server.place.PlaceBook;
import org.springframework.stereotype.Component;

/** Tells how full the places are from today to the end of the season looked at. */
@Component
public class SpaceBook {

    private static final int DAYS_AHEAD = 262;

    private final BatchesInSpace batches;
    private final PlaceBook places;
    private final NurseryClock clock;

    SpaceBook(BatchesInSpace batches, PlaceBook places, NurseryClock clock) {
        this.batches = batches;
        this.places = places;
        this.clock = clock;
    }

    /** The occupancy by all batches. */
    public Occupancy occupancy() {
        LocalDate today = clock.today();
        return Occupancy.of(
                places.places(),
                batches.inSpace().stream().collect(Collectors.toMap(BatchInSpace::number, BatchInSpace::stays)),
                today, DAYS_AHEAD);
    }
}
