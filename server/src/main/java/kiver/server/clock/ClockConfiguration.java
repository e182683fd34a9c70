package kiver.server.clock;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Profile;

/** The one place where the machine's clock comes in. */
@Configuration
class ClockConfiguration {

    @Bean
    @Profile("!play")
    Clock calendar() {
        return Clock.systemDefaultZone();
    }

    /** Where a season is played, days pass when somebody lets them. */
    @Bean
    @Profile("play")
    HandClock playedCalendar(@Value("${kiver.play.today}") String today) {
        return new HandClock(LocalDate.parse(today), ZoneId.systemDefault());
    }
}
