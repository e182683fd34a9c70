package kiver.server.play;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import kiver.server.clock.HandClock;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.outlook.ForecastLedger;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** The copy of a nursery in which a season is played, from within. */
@Component
@Profile("play")
class PlayedNursery {

    /** While days pass fewer past years are looked at, which is quicker; then all of them again. */
    private static final int PAST_YEARS_MEANWHILE = 5;

    /** Past that the weather of the year would be looked for in days that nobody knows. */
    private static final int LONGEST = 400;

    private final HandClock hand;
    private final NurseryClock clock;
    private final Hands hands;
    private final PlayedNights nights;
    private final SeasonService seasons;
    private final ForecastLedger forecasts;
    private final LocalDate begins;
    private final long account;
    private final byte[] word;

    PlayedNursery(
            HandClock hand,
            NurseryClock clock,
            Hands hands,
            PlayedNights nights,
            SeasonService seasons,
            ForecastLedger forecasts,
            @Value("${kiver.play.today}") String begins,
            @Value("${kiver.play.account}") long account,
            @Value("${kiver.play.word}") String word) {
        this.hand = hand;
        this.clock = clock;
        this.hands = hands;
        this.nights = nights;
        this.seasons = seasons;
        this.forecasts = forecasts;
        this.begins = LocalDate.parse(begins);
        this.account = account;
        this.word = word.getBytes(StandardCharsets.UTF_8);
    }

    /** Who plays. */
    long account() {
        return account;
    }

    /** Whether that is the word by which the copy opens. */
    boolean opensBy(String said) {
        return MessageDigest.isEqual(word, said.getBytes(StandardCharsets.UTF_8));
    }

    /**
     * Lets days pass, one after another, and says which day it is then.
     *
     * @throws Refusal when they would lead beyond the weather of the year
     */
    synchronized LocalDate letDaysPass(int days, boolean handsWork) {
        if (ChronoUnit.DAYS.between(begins, clock.today()) + days > LONGEST) {
            throw new Refusal(
                    "days",
                    Said.of("A play goes on until {last} at most. End this one and begin another.")
                            .with("last", begins.plusDays(LONGEST)));
        }
        seasons.lookBackOn(PAST_YEARS_MEANWHILE);
        try {
            for (int day = 0; day < days; day++) {
                if (handsWork) {
                    hands.work();
                }
                if (clock.today().getDayOfWeek() == DayOfWeek.MONDAY) {
                    forecasts.tell();
                }
                hand.letDayPass();
                nights.takeTheirs();
            }
        } finally {
            seasons.lookBackOn(Integer.MAX_VALUE);
        }
        forecasts.compare();
        return clock.today();
    }
}
