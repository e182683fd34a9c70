package kiver.server.play;

import java.util.Map;
import kiver.server.KiverApplication;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Primary;
import org.springframework.core.env.SystemEnvironmentPropertySource;

/** Has a season played in this process, where no other has to be started for it. */
@Primary
public class PlayedBeside implements PlayHost {

    @Override
    public Running start(Map<String, String> settings) {
        SpringApplication application = new SpringApplication(KiverApplication.class);
        application.setAdditionalProfiles("play");
        // What a process would find in its environment.
        application.addInitializers(started -> started.getEnvironment()
                .getPropertySources()
                .addFirst(new SystemEnvironmentPropertySource("play-systemEnvironment", Map.copyOf(settings))));
        ConfigurableApplicationContext context = application.run();
        return new Running() {
            @Override
            public int port() {
                return context.getEnvironment().getRequiredProperty("local.server.port", Integer.class);
            }

            @Override
            public void whenEnded(Runnable then) {
                // It ends only by being ended.
            }

            @Override
            public void end() {
                context.close();
            }
        };
    }
}
