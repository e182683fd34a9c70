package kiver.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;

/** Starts Kiver. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class KiverApplication {

    public static void main(String[] arguments) {
        SpringApplication.run(KiverApplication.class, arguments);
    }
}
