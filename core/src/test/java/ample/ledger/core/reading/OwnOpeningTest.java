package ample.ledger.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Opening;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The demo's openings: 90 credits and more on 10 June, 60 on the 12th, 30 on the 16th, 1 on the 18th, none on the 20th. */
class OwnOpeningTest {

    private static final List<Opening> OPENINGS =
            Schedules.kernelSchedule().lists().openings();

    @ParameterizedTest
    @CsvSource({
        "0, new, from-1, 1",
        "24, from-1, from-30, 6",
        "29.5, from-1, from-30, 0.5",
        "30, from-30, from-60, 30",
        "46, from-30, from-60, 14",
        "89, from-60, from-90, 1"
    })
    void isTheOneForOnesCreditsAndSaysWhatWouldHaveChangedIt(
            BigDecimal earned, String own, String sooner, BigDecimal credits) {
        OwnOpening opening = OwnOpening.of(OPENINGS, earned).orElseThrow();

        assertThat(opening.opening().code()).isEqualTo(own);
        assertThat(opening.sooner().orElseThrow().opening().code()).isEqualTo(sooner);
        assertThat(opening.sooner().orElseThrow().credits()).isEqualByComparingTo(credits);
    }

    @Test
    void nobodyComesBeforeTheFirst() {
        assertThat(OwnOpening.of(OPENINGS, BigDecimal.valueOf(104)))
                .map(OwnOpening::sooner)
                .contains(Optional.empty());
        assertThat(OwnOpening.of(List.of(), BigDecimal.TEN)).isEmpty();
    }
}
