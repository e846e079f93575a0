package ample.ledger.core.registrar.rules;

import static ample.ledger.core.plan.PlansOfTheKernel.POSTED;
import static ample.ledger.core.plan.PlansOfTheKernel.attendance;
import static ample.ledger.core.registrar.rules.StudentsOnFile.file;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Answer.Outcome;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Hold;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Refusal.Reason;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.StudentFile;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What the registrar answers, case by case. Facts of the trade are common practice, without a source, unless one is named. */
class RulesTest {

    /** When everybody may register. */
    private static final Instant OPEN = Instant.parse("2031-06-20T09:00:00Z");

    private static final StudentFile MARIS =
            file("maris", "tidal-engineering", "NUMB 112 B", "GLAC 120 A-", "TIDE 110 B+", "LIMN 130 B");

    private final Rules rules = new Rules(POSTED, Duration.ofHours(24), name -> Optional.empty());
    private final Book book = rules.book();

    @Test
    void theCorequisiteGoesFirst() {
        assertThat(reasons(ask(MARIS, Request.register(set("TIDE 214 T1", "TIDE 214 T1-a")))))
                .containsExactly(Reason.COREQUISITE);

        assertThat(ask(MARIS, Request.register(set("NUMB 210 T1", "NUMB 210 T1-a"))))
                .isEqualTo(Answer.DONE);
        assertThat(ask(MARIS, Request.register(set("TIDE 214 T1", "TIDE 214 T1-a"))))
                .isEqualTo(Answer.DONE);
        assertThat(reasons(ask(MARIS, Request.drop(set("NUMB 210 T1", "NUMB 210 T1-a")))))
                .as("what needs it stays")
                .containsExactly(Reason.COREQUISITE);
    }

    @Test
    void aSetIsHadWholeOrNotAtAll() {
        ask(MARIS, Request.register(set("NUMB 210 T1", "NUMB 210 T1-a")));

        assertThat(reasons(ask(MARIS, Request.register(set("TIDE 214 T1"))))).containsExactly(Reason.COMPANION_MISSING);
        assertThat(reasons(ask(MARIS, Request.register(set("TIDE 214 T1", "TIDE 214 T2-b")))))
                .as("a lab of another lecture")
                .contains(Reason.COMPANION_MISSING, Reason.COMPANION_OF_ANOTHER);
        assertThat(registration(MARIS).registered()).hasSize(2);
    }

    @Test
    void everyReasonIsTold() {
        StudentFile held = StudentsOnFile.with(
                file("bryn", "tidal-engineering"),
                new Hold("The library", "registering", "Two books are overdue.", LocalDate.of(2031, 6, 2), ""));

        Answer answer = rules.submit(
                        book,
                        Registrant.of(held, POSTED),
                        Request.register(set("TIDE 214 T1", "TIDE 214 T1-a")),
                        Instant.parse("2031-06-11T09:00:00Z"))
                .answer();

        assertThat(reasons(answer))
                .containsExactly(
                        Reason.HOLD, Reason.NOT_YET_OPEN, Reason.PREREQUISITE, Reason.NOT_YET_OPEN, Reason.COREQUISITE);
        assertThat(answer.refusals().get(0).what()).contains("The library");
        assertThat(answer.refusals().get(0).words()).isEqualTo("The library has put a hold: Two books are overdue.");
    }

    @Test
    void anEntryNumberThatNobodyHasIsNamed() {
        Answer answer = ask(MARIS, Request.register(List.of(new Entry("autumn-2031", "99999"))));

        assertThat(reasons(answer)).containsExactly(Reason.UNKNOWN_ENTRY);
        assertThat(answer.refusals().get(0).words()).contains("99999 of autumn-2031");
    }

    @Test
    void theEarlierTermGoesFirst() {
        PostedSchedules two = new PostedSchedules(List.of(
                Schedules.of(
                        "summer-2031",
                        "Summer 2031",
                        new DateRange(LocalDate.of(2031, 7, 1), LocalDate.of(2031, 8, 20)),
                        List.of(SectionBuilder.section("NUMB 112")
                                .entry("30001")
                                .seats(9, 0, 0)
                                .build())),
                Schedules.of(
                        "autumn-2031",
                        List.of(SectionBuilder.section("NUMB 210")
                                .entry("40001")
                                .seats(9, 0, 0)
                                .needs("NUMB 112 with C")
                                .build()))));
        Rules ofTwo = new Rules(two, Duration.ofHours(24), name -> Optional.empty());
        Book empty = ofTwo.book();
        Registrant beginner = Registrant.of(file("wren", ""), two);
        Request later = Request.register(List.of(new Entry("autumn-2031", "40001")));
        Request earlier = Request.register(List.of(new Entry("summer-2031", "30001")));

        assertThat(reasons(ofTwo.submit(empty, beginner, later, OPEN).answer())).containsExactly(Reason.PREREQUISITE);
        assertThat(ofTwo.submit(empty, beginner, earlier, OPEN).answer()).isEqualTo(Answer.DONE);
        assertThat(ofTwo.submit(empty, beginner, later, OPEN).answer()).isEqualTo(Answer.DONE);
    }

    /** An offer stands for 24 to 48 hours, and then goes to the next. */
    @Test
    void aSeatThatFallsFreeIsOfferedInTurn() {
        Line line = new Line(1);
        line.register("ada");
        assertThat(line.wait("ben").places()).containsExactly(new Answer.Place(line.entry, 1, 1));
        assertThat(line.wait("cleo").places()).containsExactly(new Answer.Place(line.entry, 2, 2));
        assertThat(reasons(line.wait("dora"))).containsExactly(Reason.WAITLIST_FULL);

        line.drop("ada");

        assertThat(line.of("ben").offers()).hasSize(1);
        assertThat(reasons(line.register("dora"))).as("it is promised").containsExactly(Reason.FULL_WAITLIST_OPEN);
        line.later(Duration.ofHours(24));
        assertThat(line.of("ben").offers()).isEmpty();
        assertThat(reasons(line.takeUp("ben"))).contains(Reason.OFFER_LAPSED);
        assertThat(line.takeUp("cleo")).isEqualTo(Answer.DONE);
        assertThat(line.of("cleo").registered()).containsExactly(line.entry);
    }

    @Test
    void whatIsOnlyWaitedForGivesNoCredits() {
        Line line = new Line(1);
        line.register("ada");
        StudentFile few = StudentsOnFile.with(file("ben", ""), "autumn-2031", Optional.empty(), Optional.of(3));
        Registrant ben = Registrant.of(few, line.posted);

        assertThat(line.rules
                        .submit(line.book, ben, Request.register(List.of(line.other)), OPEN)
                        .answer())
                .isEqualTo(Answer.DONE);
        assertThat(line.rules
                        .submit(line.book, ben, Request.wait(List.of(line.entry)), OPEN)
                        .answer()
                        .outcome())
                .as("3 of 3 credits are taken")
                .isEqualTo(Outcome.WAITING);
        line.drop("ada");
        assertThat(reasons(line.rules
                        .submit(line.book, ben, Request.takeUp(List.of(line.entry)), OPEN)
                        .answer()))
                .as("taken up it counts")
                .containsExactly(Reason.OVER_LIMIT);
    }

    @Test
    void aSwapForAFullSectionLeavesTheOldOne() {
        Line line = new Line(1);
        line.register("ada");
        line.ask("ben", Request.register(List.of(line.other)));

        assertThat(reasons(line.ask("ben", Request.swap(List.of(line.other), List.of(line.entry)))))
                .containsExactly(Reason.FULL_WAITLIST_OPEN);
        assertThat(line.of("ben").registered()).containsExactly(line.other);

        line.drop("ada");
        assertThat(line.ask("ben", Request.swap(List.of(line.other), List.of(line.entry))))
                .isEqualTo(Answer.DONE);
        assertThat(line.of("ben").registered()).containsExactly(line.entry);
    }

    @Test
    void afterTheLastDayNothingIsGivenUp() {
        ask(MARIS, Request.register(set("MYCO 101 X1z")));

        Answer answer = rules.submit(
                        book,
                        Registrant.of(MARIS, POSTED),
                        Request.drop(set("MYCO 101 X1z")),
                        Instant.parse("2031-12-10T12:00:00Z"))
                .answer();

        assertThat(reasons(answer)).containsExactly(Reason.TOO_LATE_TO_DROP);
    }

    /** One section with one seat and two places on its waitlist, beside another with many. */
    private static final class Line {

        private final Entry entry = new Entry("autumn-2031", "40001");
        private final Entry other = new Entry("autumn-2031", "40002");
        private final PostedSchedules posted;
        private final Rules rules;
        private final Book book;
        private Instant now = OPEN;

        Line(int seats) {
            posted = new PostedSchedules(List.of(Schedules.of(
                    SectionBuilder.section("GLAC 101")
                            .entry("40001")
                            .seats(seats, 0, 0)
                            .waitlist(2)
                            .build(),
                    SectionBuilder.section("TIDE 101")
                            .entry("40002")
                            .seats(90, 0, 0)
                            .build())));
            rules = new Rules(posted, Duration.ofHours(24), name -> Optional.empty());
            book = rules.book();
        }

        void later(Duration time) {
            now = now.plus(time);
            rules.due(book, now);
        }

        Answer ask(String student, Request request) {
            return rules.submit(book, Registrant.of(file(student, ""), posted), request, now)
                    .answer();
        }

        Answer register(String student) {
            return ask(student, Request.register(List.of(entry)));
        }

        Answer wait(String student) {
            return ask(student, Request.wait(List.of(entry)));
        }

        Answer takeUp(String student) {
            return ask(student, Request.takeUp(List.of(entry)));
        }

        void drop(String student) {
            assertThat(ask(student, Request.drop(List.of(entry)))).isEqualTo(Answer.DONE);
        }

        Registration of(String student) {
            return book.registration(student, now);
        }
    }

    private Registration registration(StudentFile student) {
        return book.registration(student.student(), OPEN);
    }

    private Answer ask(StudentFile student, Request request) {
        return rules.submit(book, Registrant.of(student, POSTED), request, OPEN).answer();
    }

    private static List<Reason> reasons(Answer answer) {
        return answer.refusals().stream()
                .map(Refusal::reason)
                .map(Optional::orElseThrow)
                .toList();
    }

    private static List<Entry> set(String... names) {
        return Arrays.stream(names).map(name -> Entry.of(attendance(name))).toList();
    }
}
