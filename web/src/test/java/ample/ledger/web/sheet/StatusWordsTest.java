package ample.ledger.web.sheet;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.reading.SeatAccount;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.StudentGroup.About;
import ample.ledger.web.words.SeatWords;
import java.math.BigDecimal;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** The status of a section with its reason, and what else will matter; openings and last days are those of the kernel. */
class StatusWordsTest {

    private static final Schedule KERNEL = Schedules.kernelSchedule();
    private static final LocalDateTime IN_MAY = LocalDateTime.of(2031, 5, 30, 12, 0);
    private static final LocalDateTime IN_JUNE = LocalDateTime.of(2031, 6, 17, 9, 41);
    private static final LocalDateTime IN_JULY = LocalDateTime.of(2031, 7, 15, 12, 0);
    private static final LocalDateTime IN_OCTOBER = LocalDateTime.of(2031, 10, 1, 12, 0);

    private static final SectionBuilder OPEN = section("RHET 101").seats(20, 14, 0);

    @Test
    void whatIsOpenIsSaidByItsSeatsAlone() {
        StatusWords words = words(OPEN, IN_JULY, Optional.empty());

        assertThat(words.sentence()).isEqualTo("Open. 6 seats are yours to take.");
        assertThat(words.besides()).isEmpty();
    }

    @Test
    void beforeRegistrationTheMomentComesFirstAndTheSeatsBesides() {
        StatusWords words = words(OPEN, IN_JUNE, student(12));

        assertThat(words.sentence())
                .isEqualTo("Not yet open: registration opens Wed 18 Jun, 8:00 for 1 to 29 credits.");
        assertThat(words.besides()).containsExactly("Its seats now: 6 of 20 open.");
    }

    @Test
    void ofNobodyInParticularThoseWhoComeLaterAreTold() {
        assertThat(words(OPEN, IN_MAY, Optional.empty()).sentence())
                .startsWith("Not yet open: registration opens Tue 10 Jun, 8:00 for ");
        assertThat(words(OPEN, IN_JUNE, Optional.empty()).besides())
                .singleElement()
                .asString()
                .startsWith("Registration opens Wed 18 Jun, 8:00 for 1 to 29 credits; Fri 20 Jun, 8:00 for ");
    }

    @Test
    void afterTheLastDayToAddSeatsDoNotMatter() {
        StatusWords words = words(OPEN, IN_OCTOBER, student(60));

        assertThat(words.sentence()).startsWith("Closed to late entry: the last day to add was Fri 19 Sep.");
        assertThat(words.besides()).noneMatch(sentence -> sentence.startsWith("Its seats now"));
    }

    @Test
    void permissionDecidesWhereThereIsASeatAndIsSaidBesidesWhereThereIsNone() {
        SectionBuilder asks = section("GLAC 390").needs("permission \"the department\"");

        assertThat(words(asks.seats(20, 4, 0), IN_JULY, student(60)).sentence())
                .isEqualTo("By permission: nobody takes it without a word of the department.");
        StatusWords full = words(asks.seats(20, 20, 3), IN_JULY, student(60));
        assertThat(full.sentence()).startsWith("Full.");
        assertThat(full.besides()).contains("It takes a word of the department too.");
    }

    @Test
    void whomARestrictionKeepsOutIsToldItsSentence() {
        Section posted = KERNEL.section(new EntryNumber("40169")).orElseThrow();
        StatusReading reading = StatusReading.of(
                posted, new SeatAccount(20, 4, List.of(), 0, 0, 5), IN_JULY, KERNEL, of(60, 3, "glaciology"));

        assertThat(new StatusWords(reading, SeatWords.of(posted, reading.seats(), List.of())).sentence())
                .isEqualTo("Open, but not to you: "
                        + posted.restrictions().stream()
                                .findFirst()
                                .orElseGet(() ->
                                        posted.course().rules().restrictions().get(0))
                                .sentence());
    }

    @Test
    void seatsHeldForTheStudentAreNamedAndWhenTheyFallFreeToo() {
        Section posted = KERNEL.section(new EntryNumber("40220")).orElseThrow();
        SeatAccount account = SeatAccount.of(posted.pool(), IN_JUNE.toLocalDate());

        List<String> theirs = besides(posted, account, of(60, 3, "glaciology"));
        List<String> others = besides(posted, account, of(60, 3, "tidal-engineering"));

        assertThat(theirs)
                .filteredOn(sentence -> sentence.contains("so for you"))
                .singleElement()
                .asString()
                .matches("\\d+ seats? (is|are) held for .*, so for you\\.");
        assertThat(others)
                .noneMatch(sentence -> sentence.contains("so for you"))
                .anyMatch(
                        sentence -> sentence.matches("From \\w+ \\d+ \\w+ the .*held for .* (is|are) free to all\\."));
    }

    @Test
    void whatIsCancelledIsNothingElse() {
        StatusWords words = words(section("RHET 101").seats(20, 3, 0).cancelled(), IN_JULY, Optional.empty());

        assertThat(words.sentence()).startsWith("Cancelled");
        assertThat(words.besides()).isEmpty();
    }

    private static List<String> besides(Section section, SeatAccount account, Optional<StudentRecord> student) {
        StatusReading reading = StatusReading.of(section, account, IN_JUNE, KERNEL, student);
        return new StatusWords(reading, SeatWords.of(section, reading.seats(), List.of())).besides();
    }

    private static StatusWords words(SectionBuilder builder, LocalDateTime now, Optional<StudentRecord> student) {
        Section section = builder.build();
        StatusReading reading =
                StatusReading.of(section, SeatAccount.of(section.pool(), now.toLocalDate()), now, KERNEL, student);
        return new StatusWords(reading, SeatWords.of(section, reading.seats(), List.of()));
    }

    private static Optional<StudentRecord> student(int credits) {
        return Optional.of(new StudentRecord(
                List.of(), BigDecimal.valueOf(credits), Optional.empty(), Set.of(), Set.of(), Map.of()));
    }

    private static Optional<StudentRecord> of(int credits, int level, String programme) {
        return Optional.of(new StudentRecord(
                List.of(),
                BigDecimal.valueOf(credits),
                Optional.of(level),
                Set.of(),
                Set.of(),
                Map.of(About.PROGRAMME, Set.of(programme))));
    }
}
