package ample.ledger.web.visit;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.registrar.StudentFile.OfTerm;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.preferences.Preferences;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class VisitTest {

    private static final Schedule KERNEL = Schedules.kernelSchedule();
    private static final LocalDateTime BY_CREDITS = LocalDateTime.of(2031, 6, 16, 8, 0);
    private static final LocalDateTime LATER = LocalDateTime.of(2031, 6, 24, 8, 0);

    @Test
    void anOpeningThatIsAsPostedIsSaidWithWhomItIsFor() {
        Visit visit = visit(BY_CREDITS);

        assertThat(visit.opening(KERNEL).orElseThrow().opening().name()).isEqualTo("30 to 59 credits");
        assertThat(OpeningWords.shortly(visit, KERNEL)).isEqualTo("Open to you until Fri 12 Sep");
    }

    @Test
    void anotherOpeningOfTheRegistrarsGoesBeforeTheCredits() {
        Visit visit = visit(LATER);

        assertThat(visit.opening(KERNEL).orElseThrow().opening().name()).isEqualTo("You alone");
        assertThat(OpeningWords.shortly(visit, KERNEL)).isEqualTo("Registration opens Tue 24 Jun, 8:00, in 6 days");
        assertThat(visit.person(KERNEL).opened())
                .as("status too is of that opening")
                .isFalse();
    }

    /** On 17 June, with 46 credits. */
    private static Visit visit(LocalDateTime opens) {
        StudentFile file = new StudentFile(
                "maris",
                "Maris",
                Optional.empty(),
                Instant.parse("2031-06-17T08:41:00Z"),
                BigDecimal.valueOf(46),
                2,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(new OfTerm(
                        KERNEL.term().code().text(),
                        Optional.of(opens),
                        Optional.of(LocalDateTime.of(2031, 9, 13, 0, 0)),
                        Optional.empty())));
        return new Visit(
                Instant.parse("2031-06-17T08:41:00Z"),
                Kept.NOTHING,
                Preferences.USUAL,
                Schedules.alone(KERNEL),
                new FromRegistrar(Optional.of(file), Optional.empty(), Optional.empty()));
    }
}
