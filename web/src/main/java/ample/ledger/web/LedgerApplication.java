package ample.ledger.web;

import ample.ledger.core.exchange.FaultyBundleException;
import ample.ledger.store.StoreConfiguration;
import ample.ledger.web.posting.PostingAtStart;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Import;

/** Starts Ample Ledger. */
@SpringBootApplication
@Import(StoreConfiguration.class)
public class LedgerApplication {

    /** Options are Spring Boot's; {@code application.properties} lists those of this application. */
    public static void main(String[] args) {
        try {
            SpringApplication.run(LedgerApplication.class, args);
        } catch (RuntimeException e) {
            FaultyBundleException faulty = PostingAtStart.faultIn(e);
            if (faulty == null) {
                throw e;
            }
            System.err.println("The bundle was not posted; nothing has changed. What is wrong with it:");
            faulty.faults().forEach(fault -> System.err.println("  " + fault));
            System.exit(1);
        }
    }
}
