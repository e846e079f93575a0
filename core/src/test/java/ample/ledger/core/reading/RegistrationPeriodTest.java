package ample.ledger.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Schedule;
import java.time.LocalDateTime;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RegistrationPeriodTest {

    private static final List<Schedule> TERMS = Stream.of("autumn-2031-3", "spring-2032", "summer-2032")
            .map(bundle -> ScheduleBundle.read(Schedules.repository().resolve("demo/bundles/" + bundle))
                    .schedule())
            .toList();

    /** Autumn can be registered for from 10 June until late entry ends, Spring from 4 November until March, Summer from 2 March. */
    @ParameterizedTest
    @CsvSource({
        "2031-05-01T12:00, autumn-2031",
        "2031-06-17T09:41, autumn-2031",
        "2031-09-10T12:00, autumn-2031",
        "2031-12-24T12:00, spring-2032",
        "2032-02-20T12:00, spring-2032",
        "2032-04-01T12:00, summer-2032",
        "2033-01-01T12:00, summer-2032",
    })
    void theTermThatCanBeRegisteredForOrElseTheNext(LocalDateTime now, String term) {
        assertThat(RegistrationPeriod.mostUrgent(TERMS, now).term().code().text())
                .isEqualTo(term);
    }
}
