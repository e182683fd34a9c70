package kiver.core.care;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What was done and seen of the water in one tray, with what makes it dry.
 *
 * @param seen in the order in which it happened
 * @param drinking what the tray gives off, by day
 * @param air of the place it stands in
 */
public record WaterRecord(List<Sighting> seen, ByDay drinking, AirDemand air) {

    /** Days back in which watering tells of a habit. */
    private static final int HABIT_DAYS = 10;

    private static final int HABIT_TIMES = 3;

    /** So far above its mark a tray did not want water. */
    private static final double FAR_ABOVE = 0.25;

    /** A share known no better than this is not held against anybody. */
    private static final double KNOWN = 0.25;

    /** A scale that shows no more than this share cannot tell for how long there has been nothing left. */
    private static final double EMPTY = 0.04;

    /** What a tray gives off on a day: its leaves grow, so two weeks ago it drank less. */
    @FunctionalInterface
    public interface ByDay {

        /** On a day of the record or soon after it. */
        Drinking on(LocalDate day);
    }

    /** Something done or seen at a moment. */
    public record Sighting(LocalDateTime at, WaterSeen seen) {}

    public WaterRecord {
        seen = List.copyOf(seen);
    }

    /** The same with something more, which is not before the last sighting. */
    public WaterRecord and(LocalDateTime at, WaterSeen more) {
        List<Sighting> all = new ArrayList<>(seen);
        all.add(new Sighting(at, more));
        return new WaterRecord(all, drinking, air);
    }

    /** The share of what it holds that goes between two moments at the pace worked out, each day by what it gave off then. */
    public double drunk(LocalDateTime from, LocalDateTime until) {
        double drunk = 0;
        LocalDateTime at = from;
        while (at.toLocalDate().isBefore(until.toLocalDate())) {
            LocalDateTime midnight = at.toLocalDate().plusDays(1).atStartOfDay();
            drunk += drinking.on(at.toLocalDate()).between(air, at, midnight);
            at = midnight;
        }
        return drunk + drinking.on(at.toLocalDate()).between(air, at, until);
    }

    /** What is known of its water at a moment, which is not before the last sighting. */
    public TrayWater at(LocalDateTime moment, DryingPace pace) {
        TrayWater water = TrayWater.UNKNOWN;
        LocalDateTime last = null;
        for (Sighting each : seen) {
            water = last == null ? water : water.after(drunk(last, each.at()), pace);
            water = water.with(each.seen());
            last = each.at();
        }
        return last == null ? water : water.after(drunk(last, moment), pace);
    }

    /** What its weighings tell of how fast it dries: each against the soaking or weighing before it. */
    public List<DryingPace.Dried> dried() {
        List<DryingPace.Dried> dried = new ArrayList<>();
        LocalDateTime since = null;
        double share = 0;
        for (Sighting each : seen) {
            if (each.seen() instanceof WaterSeen.Weighed weighed) {
                if (since != null) {
                    dried.add(new DryingPace.Dried(
                            drunk(since, each.at()), share - weighed.share(), weighed.share() <= EMPTY));
                }
                since = each.at();
                share = weighed.share();
            } else if (each.seen() instanceof WaterSeen.Watered watered) {
                since = watered.how() == WaterSeen.How.BELOW ? each.at() : null;
                share = 1;
            }
        }
        return dried;
    }

    /** When it comes to a mark, from a moment on; empty where that lies beyond what the air tells of. */
    public Optional<LocalDateTime> reaches(double mark, LocalDateTime from, DryingPace pace) {
        double toGo = (at(from, pace).share() - mark) / pace.factor();
        if (toGo <= 0) {
            return Optional.of(from);
        }
        Drinking now = drinking.on(from.toLocalDate());
        if (now.between(air, from, air.end()) < toGo) {
            return Optional.empty();
        }
        LocalDateTime early = from;
        LocalDateTime late = air.end();
        while (early.plusMinutes(10).isBefore(late)) {
            LocalDateTime middle =
                    early.plusSeconds(Duration.between(early, late).toSeconds() / 2);
            if (now.between(air, from, middle) < toGo) {
                early = middle;
            } else {
                late = middle;
            }
        }
        return Optional.of(late);
    }

    /** Whether it was watered again and again of late while it was far from its mark: it never dries. */
    public boolean neverDries(double mark, LocalDateTime now, DryingPace pace) {
        TrayWater water = TrayWater.UNKNOWN;
        LocalDateTime last = null;
        int tooEarly = 0;
        for (Sighting each : seen) {
            water = last == null ? water : water.after(drunk(last, each.at()), pace);
            boolean soaked = each.seen() instanceof WaterSeen.Watered watered && watered.how() != WaterSeen.How.SPRAY;
            if (soaked
                    && each.at().isAfter(now.minusDays(HABIT_DAYS))
                    && water.deviation() < KNOWN
                    && water.share() > mark + FAR_ABOVE) {
                tooEarly++;
            }
            water = water.with(each.seen());
            last = each.at();
        }
        return tooEarly >= HABIT_TIMES;
    }
}
