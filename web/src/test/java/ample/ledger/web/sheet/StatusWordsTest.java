package ample.ledger.web.sheet;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.reading.Person;
import ample.ledger.core.reading.Readings;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
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
        assertThat(words(OPEN, IN_JULY, Optional.empty()).sentence()).isEqualTo("Open. 6 seats are free.");
        assertThat(words(OPEN, IN_JULY, student(12)).sentence()).isEqualTo("Open. 6 seats are free for you.");
        assertThat(words(OPEN, IN_JULY, Optional.empty()).besides()).isEmpty();
        assertThat(words(OPEN, IN_JUNE, withoutCredits()).sentence())
                .as("registration may not have opened for them")
                .isEqualTo("Open. 6 seats are free.");
    }

    @Test
    void beforeRegistrationNothingIsOpenAndTheAccountEndsWithTheReason() {
        Said words = words(OPEN, IN_JUNE, student(12));

        assertThat(words.sentence())
                .isEqualTo("Not yet open: registration opens Wed 18 Jun, 8:00 for 1 to 29 credits.");
        assertThat(words.seats().rest()).isEqualTo("6 of 20 free");
        assertThat(words.seats().open()).isEqualTo("0");
        assertThat(words.seats().account())
                .last()
                .isEqualTo(new SeatWords.Line(
                        "Not yet open: registration opens Wed 18 Jun, 8:00 for 1 to 29 credits", "−6"));
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
        Said words = words(OPEN, IN_OCTOBER, student(60));

        assertThat(words.sentence()).startsWith("Closed to late entry. The last day to add was Fri 19 Sep.");
        assertThat(words.seats().open()).isEqualTo("0");
    }

    @Test
    void permissionDecidesWhereThereIsASeatAndIsSaidBesidesWhereThereIsNone() {
        SectionBuilder asks = section("GLAC 390").needs("permission \"the department\"");

        assertThat(words(asks.seats(20, 4, 0), IN_JULY, student(60)).sentence())
                .isEqualTo("By permission of the department.");
        Said full = words(asks.seats(20, 20, 3), IN_JULY, student(60));
        assertThat(full.sentence()).startsWith("Full.");
        assertThat(full.besides()).contains("It takes a word of the department too.");
    }

    @Test
    void whomARestrictionKeepsOutIsToldItsSentence() {
        Section posted = KERNEL.section(new EntryNumber("40169")).orElseThrow();
        SeatPool room = new SeatPool("room", 20, 5, List.of(), new SeatPool.Count(4, 0, 0));

        assertThat(said(posted, room, IN_JULY, Optional.empty()).sentence())
                .startsWith("Open to students of Tidal Engineering");
        assertThat(said(posted, room, IN_JULY, of(60, 3, "glaciology")).sentence())
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
        List<String> theirs =
                said(posted, posted.pool(), IN_JUNE, of(60, 3, "glaciology")).besides();
        List<String> others = said(posted, posted.pool(), IN_JUNE, of(60, 3, "tidal-engineering"))
                .besides();

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
        Said words = words(section("RHET 101").seats(20, 3, 0).cancelled(), IN_JULY, Optional.empty());

        assertThat(words.sentence()).startsWith("Cancelled");
        assertThat(words.besides()).isEmpty();
    }

    /** What a sheet says of a section's seats. */
    private record Said(SeatWords seats, List<String> besides) {

        String sentence() {
            return seats.sentence();
        }
    }

    private static Said words(SectionBuilder builder, LocalDateTime now, Optional<StudentRecord> student) {
        Section section = builder.build();
        return said(section, section.pool(), now, student);
    }

    private static Said said(Section section, SeatPool pool, LocalDateTime now, Optional<StudentRecord> student) {
        Person person = Person.of(KERNEL, student, now);
        StatusReading reading = new Readings(KERNEL, person).of(section, pool);
        return new Said(SeatWords.of(section, reading, person, KERNEL), new StatusWords(reading).besides());
    }

    private static Optional<StudentRecord> withoutCredits() {
        return Optional.of(
                new StudentRecord(Set.of(), List.of(), Optional.empty(), Optional.of(2), Set.of(), Set.of(), Map.of()));
    }

    private static Optional<StudentRecord> student(int credits) {
        return Optional.of(new StudentRecord(
                Set.of(),
                List.of(),
                Optional.of(BigDecimal.valueOf(credits)),
                Optional.empty(),
                Set.of(),
                Set.of(),
                Map.of()));
    }

    private static Optional<StudentRecord> of(int credits, int level, String programme) {
        return Optional.of(new StudentRecord(
                Set.of(),
                List.of(),
                Optional.of(BigDecimal.valueOf(credits)),
                Optional.of(level),
                Set.of(),
                Set.of(),
                Map.of(About.PROGRAMME, Set.of(programme))));
    }
}
