package kiver.core.care;

import java.time.LocalDate;
import java.util.Optional;

/**
 * When a batch is next fed.
 *
 * @param school by which the nursery feeds
 * @param emerged day on which something was first seen; for plants that were bought in the day they came
 * @param reserveEnds day from which its mix feeds it no more
 * @param lastFed when it was last fed
 * @param target day on which it is wanted
 */
public record FeedClock(
        FeedSchool school, LocalDate emerged, LocalDate reserveEnds, Optional<LocalDate> lastFed, LocalDate target) {

    /** Days between two feeds where there is one a week. */
    private static final int A_WEEK = 7;

    /** Young plants drink about every other day, so every second watering comes after so many. */
    private static final int EVERY_SECOND_WATERING = 4;

    /** Days from emergence for which a mix feeds of which nothing is known. */
    public static final int UNKNOWN_RESERVE = 14;

    /** The next day on which it is to be fed, which may have gone by; nothing where it goes before, or is not fed. */
    public Optional<LocalDate> due() {
        Optional<LocalDate> next = switch (school) {
            case NEVER -> Optional.empty();
            case BY_RESERVE -> Optional.of(after(reserveEnds, A_WEEK));
            case FROM_EMERGENCE -> Optional.of(after(emerged, EVERY_SECOND_WATERING));
            case BEFORE_PLANTING -> {
                LocalDate once = target.minusDays(A_WEEK);
                yield lastFed.filter(day -> !day.isBefore(once)).isPresent() ? Optional.empty() : Optional.of(once);
            }
        };
        return next.filter(day -> day.isBefore(target));
    }

    private LocalDate after(LocalDate first, int days) {
        return lastFed.map(day -> day.plusDays(days))
                .filter(day -> day.isAfter(first))
                .orElse(first);
    }
}
