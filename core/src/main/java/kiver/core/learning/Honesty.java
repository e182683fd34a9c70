package kiver.core.learning;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.crop.LessonAbout.Matter;

/**
 * Whether forecasts held what they said: a band from a tenth to nine tenths should hold eight of ten, a chance of 0.8 come true
 * eight times in ten.
 *
 * @param bands by what was forecast and how long before
 * @param chances by what was said
 */
public record Honesty(List<Band> bands, List<Chance> chances) {

    /** Chances are taken together from these on. */
    private static final double[] CHANCES_FROM = {0, 0.2, 0.5, 0.8, 0.95};

    /** How long before it happened something was forecast. */
    public enum Lead {
        DAYS(7),
        A_FORTNIGHT(14),
        A_MONTH(31),
        LONGER(Integer.MAX_VALUE);

        private final int most;

        Lead(int most) {
            this.most = most;
        }

        static Lead of(long days) {
            for (Lead lead : values()) {
                if (days <= lead.most) {
                    return lead;
                }
            }
            throw new IllegalStateException("No lead is that long.");
        }
    }

    /**
     * Bands taken together.
     *
     * @param told how many were
     * @param inside of them, those in which it happened
     * @param early of them, those before which it happened; what is left happened after them
     */
    public record Band(Matter matter, Lead lead, int told, int inside, int early) {}

    /**
     * Chances taken together.
     *
     * @param from lowest of them
     * @param said their mean
     * @param told how many were
     * @param cameTrue of them
     */
    public record Chance(double from, double said, int told, int cameTrue) {}

    /**
     * A band that was told, and when it happened.
     *
     * @param on the day on which it was told, before it happened
     */
    public record ToldBand(Matter matter, LocalDate on, LocalDate early, LocalDate late, LocalDate happened) {

        Lead lead() {
            return Lead.of(ChronoUnit.DAYS.between(on, happened));
        }

        boolean isInside() {
            return !happened.isBefore(early) && !happened.isAfter(late);
        }
    }

    /** A chance that was told, 0 to 1, and whether it came true. */
    public record ToldChance(double chance, boolean cameTrue) {}

    /** Takes together what was told. */
    public static Honesty of(List<ToldBand> bands, List<ToldChance> chances) {
        Map<Matter, Map<Lead, List<ToldBand>>> grouped = bands.stream()
                .filter(band -> band.on().isBefore(band.happened()))
                .collect(Collectors.groupingBy(ToldBand::matter, Collectors.groupingBy(ToldBand::lead)));
        List<Band> together = new ArrayList<>();
        grouped.forEach((matter, leads) -> leads.forEach((lead, each) -> together.add(new Band(
                matter,
                lead,
                each.size(),
                (int) each.stream().filter(ToldBand::isInside).count(),
                (int) each.stream()
                        .filter(band -> band.happened().isBefore(band.early()))
                        .count()))));
        together.sort(Comparator.comparing(Band::matter).thenComparing(Band::lead));
        List<Chance> said = new ArrayList<>();
        for (int at = 0; at < CHANCES_FROM.length; at++) {
            double from = CHANCES_FROM[at];
            double below = at + 1 < CHANCES_FROM.length ? CHANCES_FROM[at + 1] : Double.POSITIVE_INFINITY;
            List<ToldChance> here = chances.stream()
                    .filter(each -> each.chance() >= from && each.chance() < below)
                    .toList();
            if (!here.isEmpty()) {
                said.add(new Chance(
                        from,
                        here.stream().mapToDouble(ToldChance::chance).average().orElseThrow(),
                        here.size(),
                        (int) here.stream().filter(ToldChance::cameTrue).count()));
            }
        }
        return new Honesty(together, said);
    }
}
