package ample.ledger.web.seats;

import ample.ledger.standin.SimulatedRegistrations;
import ample.ledger.store.News;
import ample.ledger.store.SeatWords;
import ample.ledger.web.LedgerSettings;
import ample.ledger.web.term.Terms;
import java.time.Clock;
import java.time.Duration;
import java.util.Objects;
import java.util.Random;
import javax.sql.DataSource;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Where the news of seats comes from. */
@Configuration(proxyBeanMethods = false)
@ConditionalOnWebApplication
class SeatConfiguration {

    /** News is announced; this is how long it can take when an announcement is lost. */
    private static final Duration PATIENCE = Duration.ofSeconds(1);

    @Bean
    News seatNews(DataSource dataSource, SeatStreams streams) {
        return new News(News.Channel.SEATS, dataSource, PATIENCE, streams::refresh);
    }

    /**
     * The simulated students, in place of a registrar's own system: at work where the settings say how often.
     */
    @Bean
    @ConditionalOnProperty("ledger.registrations")
    StudentsAtWork studentsAtWork(Terms terms, SeatWords words, Clock clock, LedgerSettings settings) {
        Duration pause = Objects.requireNonNull(settings.registrations());
        return new StudentsAtWork(terms, words, new SimulatedRegistrations(new Random(), clock), pause);
    }
}
