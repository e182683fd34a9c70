package kiver.server.clock;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.concurrent.atomic.AtomicReference;
import kiver.core.today.Round;

/** A clock that stands at the hour of the morning round until somebody lets a day pass. */
public final class HandClock extends Clock {

    private final AtomicReference<LocalDate> day;
    private final ZoneId zone;

    /** A clock that stands on a day, in whatever zone it is asked. */
    public HandClock(LocalDate day, ZoneId zone) {
        this(new AtomicReference<>(day), zone);
    }

    private HandClock(AtomicReference<LocalDate> day, ZoneId zone) {
        this.day = day;
        this.zone = zone;
    }

    /** Lets a day pass. */
    public void letDayPass() {
        day.updateAndGet(today -> today.plusDays(1));
    }

    @Override
    public ZoneId getZone() {
        return zone;
    }

    @Override
    public Clock withZone(ZoneId other) {
        return new HandClock(day, other);
    }

    @Override
    public Instant instant() {
        return day.get().atTime(Round.BEGINS).atZone(zone).toInstant();
    }
}
