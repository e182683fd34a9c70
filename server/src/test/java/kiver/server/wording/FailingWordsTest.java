package kiver.server.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.care.Failing.Evidence;
import kiver.core.diagnosis.FailingNote;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What the record says of a cause can be read aloud, and says what it speaks for. */
class FailingWordsTest {

    private static final LocalDate DAY = LocalDate.of(2027, 4, 15);

    static Stream<Arguments> notes() {
        return Stream.of(
                Arguments.of(
                        new FailingNote.NobodyNotedItsWater(),
                        Evidence.NONE,
                        "Nobody has noted its water: lift it, look at it, weigh it."),
                Arguments.of(
                        new FailingNote.NeverWantedAny(),
                        Evidence.FOR,
                        "It was watered three times before it wanted any."),
                Arguments.of(new FailingNote.WasLightBetween(), Evidence.AGAINST, "It was light between waterings."),
                Arguments.of(
                        new FailingNote.WateredWhenItWantedSome(),
                        Evidence.NONE,
                        "It was watered when it wanted some, as far as was noted."),
                Arguments.of(
                        new FailingNote.WasNearlyDry(), Evidence.FOR, "It was nearly dry within the last two weeks."),
                Arguments.of(
                        new FailingNote.NeverWasNearlyDry(),
                        Evidence.AGAINST,
                        "It never was nearly dry in the last two weeks, as far as was noted."),
                Arguments.of(
                        new FailingNote.NobodySaidHowItIsFed(),
                        Evidence.NONE,
                        "Nobody has said how this nursery feeds."),
                Arguments.of(new FailingNote.FedLately(), Evidence.AGAINST, "It was fed within a week."),
                Arguments.of(
                        new FailingNote.MixFeedsNoMore(DAY),
                        Evidence.FOR,
                        "Its mix feeds it no more since Thu 15 Apr, and it was not fed within a week."),
                Arguments.of(
                        new FailingNote.MixStillFeeds(DAY),
                        Evidence.AGAINST,
                        "Its mix still feeds it until Thu 15 Apr."),
                Arguments.of(
                        new FailingNote.GivenAStrongSolution(),
                        Evidence.FOR,
                        "It was given a strong solution within two weeks."),
                Arguments.of(
                        new FailingNote.GivenNoStrongSolution(),
                        Evidence.AGAINST,
                        "It was given no strong solution within two weeks."),
                Arguments.of(new FailingNote.TooDarkForItsWarmth(), Evidence.FOR, "It stands too dark for its warmth."),
                Arguments.of(
                        new FailingNote.LightWasEnough(),
                        Evidence.AGAINST,
                        "The light of the last week was enough for its warmth."),
                Arguments.of(
                        new FailingNote.ColdNights(3, 5),
                        Evidence.FOR,
                        "3 nights of two weeks below 5 °C, where it stops."),
                Arguments.of(
                        new FailingNote.ColdNights(1, 5),
                        Evidence.NONE,
                        "1 night of two weeks below 5 °C, where it stops."),
                Arguments.of(
                        new FailingNote.ColdNights(0, 5),
                        Evidence.AGAINST,
                        "No night of two weeks below 5 °C, where it stops."),
                Arguments.of(
                        new FailingNote.HotDays(2, 30), Evidence.FOR, "2 days of the last week hotter than 30 °C."),
                Arguments.of(
                        new FailingNote.HotDays(0, 30), Evidence.AGAINST, "No day of the last week hotter than 30 °C."),
                Arguments.of(new FailingNote.LostToDampingOff(), Evidence.FOR, "Some of it was lost to damping-off."),
                Arguments.of(new FailingNote.WasEatenBefore(), Evidence.FOR, "Some of it was eaten before."),
                Arguments.of(
                        new FailingNote.NobodyLookedForIt(),
                        Evidence.NONE,
                        "Nobody has looked for it at this place within two weeks."),
                Arguments.of(
                        new FailingNote.SeenAtItsPlace(), Evidence.FOR, "It was seen at this place within two weeks."),
                Arguments.of(
                        new FailingNote.LookedForAndNotSeen(),
                        Evidence.AGAINST,
                        "It was looked for at this place within two weeks, and not seen."),
                Arguments.of(
                        new FailingNote.RootsHadOutgrownIt(),
                        Evidence.FOR,
                        "Its roots had outgrown what it stands in when they were last looked at."),
                Arguments.of(
                        new FailingNote.RootsHadRoom(),
                        Evidence.AGAINST,
                        "Its roots had room when they were last looked at."),
                Arguments.of(
                        new FailingNote.DaysInIt(40, 30),
                        Evidence.FOR,
                        "40 days in what it stands in; nobody has looked at its roots."),
                Arguments.of(
                        new FailingNote.DaysInIt(20, 30),
                        Evidence.NONE,
                        "20 days in what it stands in; nobody has looked at its roots."),
                Arguments.of(
                        new FailingNote.DaysInIt(1, 30),
                        Evidence.AGAINST,
                        "1 day in what it stands in; nobody has looked at its roots."));
    }

    @ParameterizedTest
    @MethodSource("notes")
    void saysWhatItTellsAndWhatThatSpeaksFor(FailingNote note, Evidence evidence, String words) {
        assertThat(note.evidence()).isEqualTo(evidence);
        assertThat(new Wording().say(Said.of((Record) note))).isEqualTo(words);
    }

    @Test
    void everyNoteIsTriedHere() {
        assertThat(notes().<Class<?>>map(each -> each.get()[0].getClass()).collect(Collectors.toSet()))
                .containsExactlyInAnyOrderElementsOf(
                        Families.kinds(FailingNote.class).toList());
    }
}
