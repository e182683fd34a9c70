package kiver.server.backup;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.TemporalAdjusters;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;

/** Which nights' copies are kept: close ones for a slip, far ones for what is noticed late. */
final class KeepingRule {

    private static final int NIGHTS = 7;
    private static final int WEEKS = 5;
    private static final int MONTHS = 12;

    private KeepingRule() {}

    /** Of the nights, those whose copies stay: the last seven, the last of each of five weeks, and of each of twelve months. */
    static Set<LocalDate> kept(Collection<LocalDate> nights) {
        List<LocalDate> lastFirst =
                nights.stream().sorted(Comparator.reverseOrder()).distinct().toList();
        Set<LocalDate> kept = new HashSet<>(lastFirst.subList(0, Math.min(NIGHTS, lastFirst.size())));
        keepLastOfEach(lastFirst, night -> night.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)), WEEKS, kept);
        keepLastOfEach(lastFirst, YearMonth::from, MONTHS, kept);
        return kept;
    }

    private static <T> void keepLastOfEach(
            List<LocalDate> lastFirst, Function<LocalDate, T> spanOf, int spans, Set<LocalDate> kept) {
        Set<T> seen = new HashSet<>();
        for (LocalDate night : lastFirst) {
            if (seen.add(spanOf.apply(night))) {
                if (seen.size() > spans) {
                    return;
                }
                kept.add(night);
            }
        }
    }
}
