package ample.ledger.core.reading;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.reading.StatusReading.Reason;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Opening;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.StudentGroup.About;
import java.math.BigDecimal;
import java.time.LocalDateTime;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StatusReadingTest {

    private static final Schedule KERNEL = Schedules.kernelSchedule();
    private static final LocalDateTime IN_JUNE = LocalDateTime.of(2031, 6, 17, 9, 41);

    /** Of the kernel: openings from 10 to 20 June by credits earned, the last day to add 19 September. */
    @ParameterizedTest
    @CsvSource({
        "2031-06-17T09:41, 0, NOT_YET_OPEN",
        "2031-06-17T09:41, 29, NOT_YET_OPEN",
        "2031-06-17T09:41, 29.5, NOT_YET_OPEN",
        "2031-06-17T09:41, 30, OPEN",
        "2031-06-16T07:59, 30, NOT_YET_OPEN",
        "2031-06-16T08:00, 30, OPEN",
        "2031-06-12T08:00, 89.5, OPEN",
        "2031-09-19T23:59, 0, OPEN",
        "2031-09-20T00:00, 120, CLOSED_TO_LATE_ENTRY"
    })
    void momentDecidesBeforeSeatsDo(LocalDateTime now, BigDecimal credits, Status status) {
        Section open = section("RHET 101").seats(20, 19, 0).build();

        assertThat(read(open, now, student(credits, 0, "", "")).status()).isEqualTo(status);
    }

    /** A registrar may let one student in at another moment than others with as many credits. */
    @Test
    void whatTheRegistrarSaysOfTheStudentGoesBeforeTheirCredits() {
        Section open = section("RHET 101").seats(20, 19, 0).build();
        Optional<StudentRecord> senior = student(BigDecimal.valueOf(120), 4, "", "");
        Opening own = Opening.ofOne(IN_JUNE.plusDays(1));
        Person waits = Person.of(KERNEL, senior, Optional.of(own), Optional.empty(), IN_JUNE);
        Person late = Person.of(
                KERNEL, senior, Optional.of(Opening.ofOne(IN_JUNE.minusDays(2))), Optional.of(IN_JUNE), IN_JUNE);

        StatusReading before = new Readings(KERNEL, waits).of(open, open.pool());
        StatusReading after = new Readings(KERNEL, late).of(open, open.pool());

        assertThat(before.status()).isEqualTo(Status.NOT_YET_OPEN);
        assertThat(before.reasons()).containsExactly(new Reason.OpensLater(own));
        assertThat(after.status()).isEqualTo(Status.CLOSED_TO_LATE_ENTRY);
        assertThat(after.reasons()).containsExactly(new Reason.ClosedToYou(IN_JUNE));
        assertThat(after.open()).isZero();
    }

    @Test
    void ofNobodyInParticularRegistrationOpensWhenItDoesForTheFirst() {
        Section open = section("RHET 101").seats(20, 19, 0).build();

        StatusReading before = read(open, LocalDateTime.of(2031, 6, 1, 12, 0), Optional.empty());
        StatusReading between = read(open, IN_JUNE, Optional.empty());

        assertThat(before.status()).isEqualTo(Status.NOT_YET_OPEN);
        assertThat(before.reasons())
                .containsExactly(new Reason.OpensLater(KERNEL.lists().openings().get(0)));
        assertThat(between.status()).isEqualTo(Status.OPEN);
        assertThat(between.reasons()).hasSize(2).allMatch(Reason.OpensLaterForSome.class::isInstance);
    }

    /** Tidal Engineering majors of the third year or later; students of Orchard Yard until 1 July; third-year standing. */
    @ParameterizedTest
    @CsvSource({
        "40169, 3, tidal-engineering, '', 2031-06-17T09:41, OPEN",
        "40169, 3, glaciology, '', 2031-06-17T09:41, OPEN_BUT_NOT_TO_YOU",
        "40169, 2, tidal-engineering, '', 2031-06-17T09:41, OPEN_BUT_NOT_TO_YOU",
        "40169, 3, '', '', 2031-06-17T09:41, OPEN_TO_SOME",
        "40448, 1, '', upper-fell, 2031-06-17T09:41, OPEN_BUT_NOT_TO_YOU",
        "40448, 1, '', orchard-yard, 2031-06-17T09:41, OPEN",
        "40448, 1, '', upper-fell, 2031-07-01T23:59, OPEN_BUT_NOT_TO_YOU",
        "40448, 1, '', upper-fell, 2031-07-02T00:00, OPEN"
    })
    void restrictionLetsInWhomItNames(
            String entry, int level, String programme, String campus, LocalDateTime now, Status status) {
        Section posted = posted(entry);
        SeatPool room = new SeatPool("room", 20, 5, List.of(), new SeatPool.Count(4, 0, 0));

        assertThat(read(posted, room, now, student(BigDecimal.valueOf(60), level, programme, campus))
                        .status())
                .isEqualTo(status);
    }

    @Test
    void seatsHeldForTheStudentAreTheirs() {
        Section posted = posted("40220");
        int held = SeatAccount.of(posted.pool(), IN_JUNE.toLocalDate()).heldSeats();
        SeatPool onlyHeld = new SeatPool("held", held, 0, posted.pool().held(), new SeatPool.Count(0, 0, 0));

        StatusReading other =
                read(posted, onlyHeld, IN_JUNE, student(BigDecimal.valueOf(60), 3, "tidal-engineering", ""));
        StatusReading theirs = read(posted, onlyHeld, IN_JUNE, student(BigDecimal.valueOf(60), 3, "glaciology", ""));
        StatusReading anybody = read(posted, onlyHeld, IN_JUNE, Optional.empty());

        assertThat(other.status()).isEqualTo(Status.OPEN_BUT_NOT_TO_YOU);
        assertThat(theirs.status()).isEqualTo(Status.OPEN);
        assertThat(anybody.status()).isEqualTo(Status.OPEN_TO_SOME);
        assertThat(anybody.open()).isEqualTo(held);
        assertThat(other.open()).isZero();
        assertThat(theirs.seats().open()).isEqualTo(held);
        assertThat(theirs.yours()).extracting(SeatPool.Held::words).containsExactly("Glaciology majors");
    }

    /** Asked of everybody only where no choice of parts goes without. */
    @ParameterizedTest
    @CsvSource({
        "permission \"the department\", BY_PERMISSION",
        "GLAC 120 and permission \"the department\", BY_PERMISSION",
        "GLAC 120 or permission \"the department\", OPEN",
        "'2 of (GLAC 120, TIDE 110, permission \"the department\")', OPEN",
        "'2 of (GLAC 120, permission \"a\", permission \"the department\")', BY_PERMISSION"
    })
    void permissionIsAskedWhereNothingGoesWithout(String expression, Status status) {
        Section open = section("GLAC 390").seats(20, 3, 0).needs(expression).build();
        StudentRecord given = new StudentRecord(
                Set.of(),
                List.of(),
                Optional.of(BigDecimal.valueOf(60)),
                Optional.of(3),
                Set.of(),
                Set.of("a", "the department"),
                Map.of());

        assertThat(read(open, IN_JUNE, student(BigDecimal.valueOf(60), 3, "", ""))
                        .status())
                .isEqualTo(status);
        assertThat(read(open, IN_JUNE, Optional.of(given)).status()).isEqualTo(Status.OPEN);
    }

    @Test
    void fullOrCancelledIsNothingElse() {
        Section full = section("GLAC 390")
                .seats(20, 20, 1)
                .waitlist(5)
                .needs("permission \"the department\"")
                .build();

        assertThat(read(full, IN_JUNE, student(BigDecimal.valueOf(60), 3, "", ""))
                        .status())
                .isEqualTo(Status.FULL_WAITLIST_OPEN);
        assertThat(read(section("GLAC 390").cancelled().build(), IN_JUNE, student(BigDecimal.ZERO, 1, "", "")))
                .extracting(StatusReading::status, reading -> reading.reasons().size())
                .containsExactly(Status.CANCELLED, 0);
    }

    private static Section posted(String entry) {
        return KERNEL.section(EntryNumber.parse(entry).orElseThrow()).orElseThrow();
    }

    private static StatusReading read(Section section, LocalDateTime now, Optional<StudentRecord> student) {
        return read(section, section.pool(), now, student);
    }

    private static StatusReading read(
            Section section, SeatPool pool, LocalDateTime now, Optional<StudentRecord> student) {
        return new Readings(KERNEL, Person.of(KERNEL, student, now)).of(section, pool);
    }

    /** What is 0 or empty is not said. */
    private static Optional<StudentRecord> student(BigDecimal credits, int level, String programme, String campus) {
        Map<About, Set<String>> groups = new EnumMap<>(About.class);
        if (!programme.isEmpty()) {
            groups.put(About.PROGRAMME, Set.of(programme));
        }
        if (!campus.isEmpty()) {
            groups.put(About.CAMPUS, Set.of(campus));
        }
        return Optional.of(new StudentRecord(
                Set.of(),
                List.of(),
                Optional.of(credits),
                Optional.of(level).filter(year -> year > 0),
                Set.of(),
                Set.of(),
                groups));
    }
}
