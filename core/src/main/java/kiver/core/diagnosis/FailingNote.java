package kiver.core.diagnosis;

import java.time.LocalDate;
import kiver.core.care.Failing.Evidence;

/** What the record of a batch says of one cause of its failing. */
public sealed interface FailingNote {

    /** Whether it speaks for the cause, against it, or not at all. */
    Evidence evidence();

    /** Speaks for the cause of which it is told. */
    sealed interface For extends FailingNote {
        @Override
        default Evidence evidence() {
            return Evidence.FOR;
        }
    }

    /** Speaks against it. */
    sealed interface Against extends FailingNote {
        @Override
        default Evidence evidence() {
            return Evidence.AGAINST;
        }
    }

    /** Tells nothing. */
    sealed interface Nothing extends FailingNote {
        @Override
        default Evidence evidence() {
            return Evidence.NONE;
        }
    }

    /** Nobody lifted, weighed or watered it, as far as was noted. */
    record NobodyNotedItsWater() implements Nothing {}

    /** It was watered three times before it wanted any. */
    record NeverWantedAny() implements For {}

    /** It was light, or dry, between waterings. */
    record WasLightBetween() implements Against {}

    record WateredWhenItWantedSome() implements Nothing {}

    record WasNearlyDry() implements For {}

    record NeverWasNearlyDry() implements Against {}

    record NobodySaidHowItIsFed() implements Nothing {}

    record FedLately() implements Against {}

    /** @param since day from which its mix feeds it no more */
    record MixFeedsNoMore(LocalDate since) implements For {}

    /** @param until day from which its mix feeds it no more */
    record MixStillFeeds(LocalDate until) implements Against {}

    record GivenAStrongSolution() implements For {}

    record GivenNoStrongSolution() implements Against {}

    record TooDarkForItsWarmth() implements For {}

    record LightWasEnough() implements Against {}

    /**
     * Nights of two weeks below where it stops growing: three and more speak for cold.
     *
     * @param nights 0 or more
     * @param stopsCelsius °C
     */
    record ColdNights(int nights, double stopsCelsius) implements FailingNote {

        /** Growth takes up again after one or two. Estimate. */
        private static final int THAT_TELL = 3;

        @Override
        public Evidence evidence() {
            return nights >= THAT_TELL ? Evidence.FOR : nights == 0 ? Evidence.AGAINST : Evidence.NONE;
        }
    }

    /**
     * Days of the last week too hot for it.
     *
     * @param days 0 or more
     * @param hotCelsius °C
     */
    record HotDays(int days, double hotCelsius) implements FailingNote {
        @Override
        public Evidence evidence() {
            return days > 0 ? Evidence.FOR : Evidence.AGAINST;
        }
    }

    record LostToDampingOff() implements For {}

    record WasEatenBefore() implements For {}

    record NobodyLookedForIt() implements Nothing {}

    record SeenAtItsPlace() implements For {}

    record LookedForAndNotSeen() implements Against {}

    record RootsHadOutgrownIt() implements For {}

    record RootsHadRoom() implements Against {}

    /**
     * Nobody has looked at its roots; how long it has stood says something.
     *
     * @param days in what it stands in, 0 or more
     * @param limit days that a crop stands well in such a container
     */
    record DaysInIt(long days, double limit) implements FailingNote {
        @Override
        public Evidence evidence() {
            return days > limit ? Evidence.FOR : days < limit / 2 ? Evidence.AGAINST : Evidence.NONE;
        }
    }
}
