package kiver.server.place;

import java.time.LocalDate;
import kiver.core.place.Place;
import kiver.core.weather.DailyRange;

/** Port: a thermometer at a place. A simulated one ships with Kiver. */
public interface PlaceProbe {

    /**
     * What it read on a day that is over.
     *
     * @param place where it hangs
     * @param day the day
     * @param outside the same day at the station
     */
    DailyRange read(Place place, LocalDate day, DailyRange outside);
}
