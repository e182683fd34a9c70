package kiver.server.play;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.DayOfWeek;
import java.time.LocalDate;
import kiver.server.clock.HandClock;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.outlook.ForecastLedger;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** The copy of a nursery in which a season is played, from within. */
@Component
@Profile("play")
class PlayedNursery {

    /** While days pass fewer past years are looked at, which is quicker; then all of them again. */
    private static final int PAST_YEARS_MEANWHILE = 5;

    private final HandClock hand;
    private final NurseryClock clock;
    private final Hands hands;
    private final PlayedNights nights;
    private final SeasonService seasons;
    private final ForecastLedger forecasts;
    private final long account;
    private final byte[] word;

    PlayedNursery(
            HandClock hand,
            NurseryClock clock,
            Hands hands,
            PlayedNights nights,
            SeasonService seasons,
            ForecastLedger forecasts,
            @Value("${kiver.play.account}") long account,
            @Value("${kiver.play.word}") String word) {
        this.hand = hand;
        this.clock = clock;
        this.hands = hands;
        this.nights = nights;
        this.seasons = seasons;
        this.forecasts = forecasts;
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

    /** Lets days pass, one after another, and says which day it is then. */
    synchronized LocalDate letDaysPass(int days, boolean handsWork) {
        seasons.lookBackOn(PAST_YEARS_MEANWHILE);
        try {
            for (int day = 0; day < days; day++) {
                if (handsWork) {
                    hands.work();
                    nights.seeToThem();
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
