package ample.ledger.web.requirement;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.reading.Background;
import ample.ledger.core.reading.Person;
import ample.ledger.core.reading.RecordReading;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.CourseRules;
import ample.ledger.core.schedule.GradeScale;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.requirement.Asks.Need;
import ample.ledger.web.requirement.Asks.Node;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a course asks for, in words, with what a record makes of it. */
class AsksTest {

    private static final Schedule KERNEL = Schedules.kernelSchedule();

    /** The tree is written here as one line: a choice with its parts in brackets. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "GLAC 120 with C or LIMN 130 | one of (GLAC 120 Ice, Snow and Meltwater, C or better; LIMN 130 Lakes and Ponds)",
                "GLAC 120 and NUMB 112 alongside | both of (GLAC 120 Ice, Snow and Meltwater; NUMB 112 Functions and Their Uses, before or at the same time)",
                "all of (GLAC 120, standing 2, credits 30) | all of (GLAC 120 Ice, Snow and Meltwater; year 2 or later; 30 credits earned)",
                "2 of (GLAC 120, LIMN 130, placement \"Tide test\") | 2 of (GLAC 120 Ice, Snow and Meltwater; LIMN 130 Lakes and Ponds; placement “Tide test”)",
                "HIST 101 or permission \"the department\" | one of (HIST 101; permission of the department)",
            })
    void aConditionIsATreeInWords(String expression, String tree) {
        assertThat(written(need(expression, Optional.empty()).tree())).isEqualTo(tree);
    }

    private static String written(Node node) {
        return node.words()
                + (node.parts().isEmpty()
                        ? ""
                        : " ("
                                + String.join(
                                        "; ",
                                        node.parts().stream()
                                                .map(AsksTest::written)
                                                .toList())
                                + ")");
    }

    @Test
    void oneConditionIsNoTreeAndWithoutARecordNothingIsJudged() {
        Need need = need("GLAC 120", Optional.empty());

        assertThat(need.tree()).isNull();
        assertThat(need.sentence()).isEqualTo("GLAC 120");
        assertThat(List.of(need.verdict(), need.missing())).containsOnly("");
        assertThat(need.met()).isFalse();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "GLAC 120                          | GLAC 120 B | met          | ''",
                "GLAC 120 with A                   | GLAC 120 B | not met      | What is missing: GLAC 120 Ice, Snow and Meltwater, A or better.",
                "GLAC 120 and NUMB 112             | GLAC 120 B | not met      | What is missing: NUMB 112 Functions and Their Uses.",
                "NUMB 112 or LIMN 130              | GLAC 120 B | not met      | Any of these would do: NUMB 112 Functions and Their Uses; or LIMN 130 Lakes and Ponds.",
                "GLAC 120 and permission \"the head\" | GLAC 120 B | needs permission | What is missing: permission of the head.",
            })
    void aRecordSaysWhatIsMissing(String expression, String taken, String verdict, String missing) {
        Need need = need(expression, Optional.of(record(taken)));

        assertThat(need.verdict()).isEqualTo(verdict);
        assertThat(need.met()).isEqualTo(verdict.equals("met"));
        assertThat(need.missing()).isEqualTo(missing);
    }

    @Test
    void ofManyWaysOnlySomeAreSaid() {
        Need need = need(
                "one of (NUMB 112, NUMB 115, NUMB 210, LIMN 130, TIDE 110, RHET 205)",
                Optional.of(record("GLAC 120 B")));

        assertThat(need.missing()).startsWith("Any of these would do: ").endsWith("; or one of 2 more ways.");
    }

    @Test
    void whatIsMissingIsFoundOverTheTerms() {
        Schedule autumn = Schedules.of(section("NUMB 112").build());
        Schedule spring = Schedules.of(
                "spring-2032",
                "Spring 2032",
                new DateRange(LocalDate.of(2032, 1, 12), LocalDate.of(2032, 4, 30)),
                List.of(section("TIDE 214").needs("NUMB 112").build()));
        Course course = spring.course(new CourseCode("TIDE", "214")).orElseThrow();
        Optional<StudentRecord> student = Optional.of(StudentRecord.NEW);
        Background background = new Background(Person.of(spring, student, Schedules.NOW), student, Set.of());
        Judging judging = new Judging(new RecordReading(spring, background), List.of(spring, autumn), true);

        assertThat(Asks.of(judging, course, List.of(), "/record").way())
                .isEqualTo("The shortest way over the terms: NUMB 112 in Autumn 2031, then TIDE 214 in Spring 2032.");
    }

    @Test
    void whatIsTakenAlongsideIsJudgedByRecordAndPlan() {
        Course course = section("TIDE 214").takenWith("NUMB 210").build().course();

        assertThat(asks(course, Optional.empty(), List.of()).rules())
                .containsExactly(new Asks.Rule("Take with NUMB 210.", "", false));
        assertThat(asks(course, Optional.of(StudentRecord.NEW), List.of()).rules())
                .containsExactly(new Asks.Rule("Take with NUMB 210.", "not met", false));
        assertThat(asks(course, Optional.of(StudentRecord.NEW), List.of(new CourseCode("NUMB", "210")))
                        .rules())
                .containsExactly(new Asks.Rule("Take with NUMB 210.", "planned", true));
        assertThat(asks(course, Optional.of(record("NUMB 210 C")), List.of()).rules())
                .containsExactly(new Asks.Rule("Take with NUMB 210.", "met", true));
    }

    @Test
    void aCourseThatCountsForThisOneIsLookedForOnTheRecord() {
        Course course = section("TIDE 214").standsFor("MYCO 245").build().course();

        assertThat(asks(course, Optional.empty(), List.of()).rules())
                .containsExactly(new Asks.Rule("Either does.", "", false));
        assertThat(asks(course, Optional.of(StudentRecord.NEW), List.of()).rules())
                .containsExactly(new Asks.Rule("Either does.", "", true));
        assertThat(asks(course, Optional.of(record("MYCO 245 B")), List.of()).rules())
                .containsExactly(new Asks.Rule("Either does.", "on your record: no credit for both", false));
    }

    /** Whatever is posted can be said, with and without a record. */
    @Test
    void everyCourseOfTheKernelSaysWhatItAsksFor() {
        for (Optional<StudentRecord> student :
                List.of(Optional.<StudentRecord>empty(), Optional.of(record("GLAC 120 B", "NUMB 112 C")))) {
            KERNEL.courses().forEach(course -> {
                Asks asks = asks(course, student, List.of());
                assertThat(asks.about())
                        .startsWith(student.isPresent() ? "Checked against the record you typed" : "Add your record");
                assertThat(asks.nothing())
                        .isEqualTo(course.rules().equals(new CourseRules(List.of(), List.of(), List.of(), List.of())));
                assertThat(asks.needs()).allSatisfy(need -> {
                    assertThat(need.sentence()).isNotBlank();
                    assertThat(need.met() && !need.missing().isEmpty())
                            .as("nothing is missing of what is met: %s", need)
                            .isFalse();
                });
            });
        }
    }

    private static Need need(String expression, Optional<StudentRecord> student) {
        Course course = section("TIDE 399").needs(expression).build().course();
        return asks(course, student, List.of()).needs().get(0);
    }

    private static Asks asks(Course course, Optional<StudentRecord> student, List<CourseCode> planned) {
        Background background = new Background(Person.of(KERNEL, student, Schedules.NOW), student, Set.copyOf(planned));
        Judging judging = new Judging(new RecordReading(KERNEL, background), List.of(KERNEL), false);
        return Asks.of(judging, course, List.of(), "/record");
    }

    /** @param taken each a subject, a number and a grade */
    private static StudentRecord record(String... taken) {
        Stream<StudentRecord.Taken> courses = Arrays.stream(taken)
                .map(each -> each.split(" "))
                .map(parts -> new StudentRecord.Taken(
                        new CourseCode(parts[0], parts[1]), GradeScale.LETTERS.parse(parts[2])));
        return new StudentRecord(
                Set.of(StudentRecord.Part.values()),
                courses.toList(),
                Optional.of(BigDecimal.ZERO),
                Optional.of(1),
                Set.of(),
                Set.of(),
                Map.of());
    }
}
