package kiver.server.clock;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one place where the machine's clock comes in. */
@Configuration
class ClockConfiguration {

    @Bean
    Clock calendar() {
        return Clock.systemDefaultZone();
    }
}
