package ample.ledger.standin;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts the demo's institution. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableScheduling
public class StandinApplication {

    /** Options are Spring Boot's; {@code standin.properties} lists those of this program. */
    public static void main(String[] args) {
        System.setProperty("spring.config.name", "standin");
        SpringApplication.run(StandinApplication.class, args);
    }
}
