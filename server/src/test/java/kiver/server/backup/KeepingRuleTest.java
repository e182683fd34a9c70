package kiver.server.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;

class KeepingRuleTest {

    private static final LocalDate FIRST = LocalDate.of(2026, 1, 1);

    /** Two years, tidied each morning, as it is in life: what was put away once is not there to be kept later. */
    @Test
    void afterTwoYearsThereAreCloseOnesAndFarOnes() {
        Set<LocalDate> there = new HashSet<>();
        LocalDate today = FIRST;
        for (int night = 0; night < 730; night++) {
            today = FIRST.plusDays(night);
            there.add(today);
            there.retainAll(KeepingRule.kept(there));
        }
        assertThat(there).contains(today, today.minusDays(6)).hasSizeBetween(18, 24);
        assertThat(there).anyMatch(today.minusDays(330)::isAfter).noneMatch(today.minusDays(400)::isAfter);
        LocalDate last = today;
        for (int week = 1; week < 5; week++) {
            int weeks = week;
            assertThat(there)
                    .anyMatch(night ->
                            !night.isAfter(last.minusWeeks(weeks)) && night.isAfter(last.minusWeeks(weeks + 1L)));
        }
    }

    @Test
    void whereNoNightWasCopiedForLongTheLastOnesStay() {
        Set<LocalDate> old = Set.of(FIRST, FIRST.plusDays(1), FIRST.plusDays(2));
        assertThat(KeepingRule.kept(old)).isEqualTo(old);
        assertThat(KeepingRule.kept(Set.of())).isEmpty();
    }
}
