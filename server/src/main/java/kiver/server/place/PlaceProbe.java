package kiver.server.place;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import kiver.core.place.Place;
import kiver.core.place.ProbeReading;
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

    /**
     * What it shows every quarter of an hour of a day, in order of time; less where it failed.
     *
     * @param place where it hangs
     * @param day the day
     * @param before the day before at the station
     * @param outside the same day at the station, as it was or as it is forecast
     * @param until the last moment of it that is told
     */
    List<ProbeReading> readings(Place place, LocalDate day, DailyRange before, DailyRange outside, LocalDateTime until);
}
