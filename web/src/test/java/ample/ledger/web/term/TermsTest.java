package ample.ledger.web.term;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import ample.ledger.core.edition.Edition;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.store.Editions;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class TermsTest {

    private static final Instant EVENING = Instant.parse("2031-06-17T20:00:00Z");

    private final Editions editions = mock();
    private final Clock clock = mock();
    private final Terms terms = new Terms(editions, mock(LatestSeats.class), clock);

    @BeforeEach
    void postTheFirstEditionInTheEvening() {
        when(clock.instant()).thenReturn(EVENING);
        when(editions.schedule(any())).thenReturn(Schedules.kernelSchedule());
        current(1);
    }

    @Test
    void anEditionIsIndexedOnce() {
        assertThat(terms.get("autumn-2031")).isSameAs(terms.get("autumn-2031"));

        verify(editions, times(1)).schedule(any());
    }

    @Test
    void theNextEditionIsSeenOnceThereIsNewsOfIt() {
        terms.get("autumn-2031");
        current(2);
        terms.refresh();

        assertThat(terms.get("autumn-2031").edition().number()).isEqualTo(2);
    }

    /** Seats are held until a day, so they are counted anew when the institution's clocks pass midnight. */
    @Test
    void seatsAreCountedAnewEachDay() {
        assertThat(terms.get("autumn-2031").index().today()).hasToString("2031-06-17");
        when(clock.instant()).thenReturn(Instant.parse("2031-06-17T23:30:00Z"));
        terms.refresh();

        assertThat(terms.get("autumn-2031").index().today())
                .as("half past midnight in the institution's summer")
                .hasToString("2031-06-18");
    }

    @Test
    void aTermThatWasNeverPostedIsUnknown() {
        assertThatExceptionOfType(UnknownTermException.class)
                .isThrownBy(() -> terms.get("spring-1999"))
                .matches(unknown -> unknown.code().equals("spring-1999"));
    }

    private void current(int number) {
        when(editions.allCurrent())
                .thenReturn(List.of(new Edition(number, "halvermere", "autumn-2031", number, EVENING, "", "")));
    }
}
