package kiver.server.today;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.harden.DayOutside;
import kiver.core.today.TaskKind;
import kiver.core.today.WhyNow;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class TaskWordsTest {

    private static final LocalDate TODAY = LocalDate.of(2027, 4, 15);
    private static final Optional<LocalDate> SUNDAY = Optional.of(TODAY.plusDays(3));

    static Stream<Arguments> reasons() {
        return Stream.of(
                Arguments.of(new WhyNow.ToBeSown(TODAY, SUNDAY), "To be sown today. Last safe day: Sun 18 Apr."),
                Arguments.of(new WhyNow.ToBeSown(TODAY.minusDays(2), Optional.of(TODAY.minusDays(1))),
                        "Was to be sown on Tue 13 Apr. The last safe day, Wed 14 Apr, has passed."),
                Arguments.of(new WhyNow.PartSown(1), "Part sown, 1 tray to go."),
                Arguments.of(new WhyNow.PartSown(4), "Part sown, 4 trays to go."),
                Arguments.of(new WhyNow.NightWasCold(-8.2), "The night fell to −8 °C where it stands. Look for losses and note them."),
                Arguments.of(new WhyNow.Short(2, true, 8, SUNDAY), "Short: 2 alive so far, 8 needed. Resow by Sun 18 Apr, or tell the grower."),
                Arguments.of(new WhyNow.Short(2, false, 8, Optional.empty()),
                        "Short: 2 alive, 8 needed. A resowing would be late: offer fewer plants or a later day."),
                Arguments.of(new WhyNow.DueToBeCounted(1, Optional.empty()), "A first cell should be up; none counted yet."),
                Arguments.of(new WhyNow.DueToBeCounted(4, Optional.of(TODAY.minusDays(2))),
                        "About 4 cells should be up; counted last on Tue 13 Apr."),
                Arguments.of(new WhyNow.Late(8, 2), "Late: about 8 cells should be up, 2 were counted."),
                Arguments.of(new WhyNow.IsUp(90, 180), "Up: 90 of 180 cells. Needs light and cooler air before it stretches."),
                Arguments.of(new WhyNow.ReadyForPotting(9, "Carrier of 28 pots"),
                        "Has the leaves for it: 9 plants into the carrier of 28 pots, before their roots circle. Look at the roots of a few first."),
                Arguments.of(new WhyNow.NeedsNoHardening(), "Has its leaves and was raised cool: it can go out at once."),
                Arguments.of(new WhyNow.HardeningIsDue(5, TODAY.plusDays(3)),
                        "Has its leaves; hardening takes 5 days and the plants are wanted on Sun 18 Apr."),
                Arguments.of(new WhyNow.HardeningIsDone(1), "Its one day of hardening is done."),
                Arguments.of(new WhyNow.HardeningGoesOn(1, 2, DayOutside.OUT), "Day 1 of 2. Out today."),
                Arguments.of(new WhyNow.HardeningGoesOn(2, 2, DayOutside.STAY_IN),
                        "Day 2 of 2. Leave in or covered today; the weather would harm it."),
                Arguments.of(new WhyNow.IsWanted(TODAY), "Wanted on Thu 15 Apr; water well before it goes."),
                Arguments.of(new WhyNow.IsWanted(TODAY.minusDays(1)), "Was wanted on Wed 14 Apr."),
                Arguments.of(new WhyNow.SparesAreKept(9, TODAY.minusDays(14)),
                        "9 spares, kept since Thu 1 Apr. Nobody has asked for them: clear the trays."),
                Arguments.of(new WhyNow.PastItsBestTooSoon(TODAY, TODAY.plusDays(3)),
                        "Likely past its best from Thu 15 Apr, before it is wanted on Sun 18 Apr. Hold it cooler or offer it earlier."),
                Arguments.of(new WhyNow.NotReadyInTime(Optional.empty(), TODAY.plusDays(3)),
                        "Not likely ready this season; wanted on Sun 18 Apr. Bring it on warmer or tell the grower."));
    }

    @ParameterizedTest
    @MethodSource("reasons")
    void saysWhy(WhyNow why, String words) {
        assertThat(TaskWords.of(why, TODAY)).isEqualTo(words);
    }

    @Test
    void saysWhatIsToBeDoneWithWhat() {
        assertThat(TaskWords.doing(TaskKind.LOOK_FOR_FROST, "White Skein (cosmos)")).isEqualTo("Look for frost losses in White Skein (cosmos)");
        assertThat(TaskWords.doing(TaskKind.MOVE_TO_GROW_ON, "Green Anvil")).isEqualTo("Move Green Anvil to grow on");
        for (TaskKind kind : TaskKind.values()) {
            assertThat(TaskWords.doing(kind, "Green Anvil")).matches("[A-Z][a-z ]+Green Anvil( [a-z ]+)?");
        }
    }

    @Test
    void everyReasonHasItsWords() {
        Set<Class<?>> worded = reasons().map(each -> each.get()[0].getClass()).collect(Collectors.toSet());
        assertThat(worded).containsExactlyInAnyOrder(WhyNow.class.getPermittedSubclasses());
    }
}
