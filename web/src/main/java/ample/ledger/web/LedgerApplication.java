package ample.ledger.web;

import ample.ledger.store.StoreConfiguration;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Import;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts Ample Ledger. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableScheduling
@Import(StoreConfiguration.class)
public class LedgerApplication {

    /** Options are Spring Boot's; {@code application.properties} lists those of this application. */
    public static void main(String[] args) {
        SpringApplication.run(LedgerApplication.class, args);
    }
}
