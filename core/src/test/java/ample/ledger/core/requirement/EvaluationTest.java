package ample.ledger.core.requirement;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static ample.ledger.core.requirement.Evaluation.Verdict.IN_PROGRESS;
import static ample.ledger.core.requirement.Evaluation.Verdict.MET;
import static ample.ledger.core.requirement.Evaluation.Verdict.NOT_MET;
import static ample.ledger.core.requirement.Evaluation.Verdict.PLANNED;
import static ample.ledger.core.requirement.Evaluation.Verdict.SUPPOSED;
import static ample.ledger.core.requirement.Evaluation.Verdict.UNKNOWN;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.requirement.Evaluation.Judged;
import ample.ledger.core.requirement.Evaluation.Verdict;
import ample.ledger.core.requirement.StudentRecord.Taken;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.GradeScale;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Prerequisite.AtLeast;
import ample.ledger.core.schedule.Prerequisite.Passed;
import ample.ledger.core.schedule.Schedule;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logicng.datastructures.Assignment;
import org.logicng.formulas.Formula;
import org.logicng.formulas.FormulaFactory;
import org.logicng.formulas.Literal;

/** By truth tables, by random expressions against the evaluation of LogicNG, and by the kernel's own prerequisites. */
class EvaluationTest {

    private static final Schedule KERNEL = Schedules.kernelSchedule();

    private static final StudentRecord NOTHING_SAID =
            new StudentRecord(Set.of(), List.of(), Optional.empty(), Optional.empty(), Set.of(), Set.of(), Map.of());

    /** Courses of which any can be on a record. */
    private static final List<String> COURSES =
            List.of("TIDE 110", "TIDE 214", "GLAC 120", "GLAC 205", "LIMN 130", "CART 210", "NUMB 112", "NUMB 210");

    @ParameterizedTest
    @CsvSource({
        "GLAC 120 or LIMN 130, '', NOT_MET",
        "GLAC 120 or LIMN 130, LIMN 130, MET",
        "GLAC 120 and LIMN 130, LIMN 130, NOT_MET",
        "GLAC 120 and LIMN 130, GLAC 120;LIMN 130, MET",
        "'2 of (GLAC 120, LIMN 130, TIDE 110)', GLAC 120, NOT_MET",
        "'2 of (GLAC 120, LIMN 130, TIDE 110)', GLAC 120;TIDE 110, MET",
        "'2 of (GLAC 120, LIMN 130, TIDE 110)', GLAC 120;TIDE 110=, IN_PROGRESS",
        "GLAC 120, GLAC 120=F, NOT_MET",
        "GLAC 120, GLAC 120=P, MET",
        "GLAC 120 with C, GLAC 120=C-, NOT_MET",
        "GLAC 120 with C, GLAC 120=C, MET",
        "GLAC 120 with C, GLAC 120=D;GLAC 120=B+, MET",
        "GLAC 120 with C, GLAC 120=, IN_PROGRESS",
        "'permission \"the department\"', '', NEEDS_PERMISSION",
        "'GLAC 120 or permission \"the department\"', '', NEEDS_PERMISSION",
        "'GLAC 120 or permission \"the department\"', GLAC 120, MET",
        "'GLAC 120 and permission \"the department\"', '', NOT_MET",
        "standing 2, '', MET",
        "standing 3, '', NOT_MET",
        "credits 30, '', MET",
        "credits 31, '', NOT_MET",
        "'placement \"Functions\"', '', MET",
        "'placement \"Rates\"', '', NOT_MET"
    })
    void verdictOfARecord(String expression, String courses, Verdict verdict) {
        assertThat(judge(expression, record(courses)).verdict()).isEqualTo(verdict);
    }

    /** In the order of verdicts a choice is as good as its parts allow: Kleene's strong logic of three values (from memory). */
    @ParameterizedTest
    @CsvSource({
        "GLAC 120, UNKNOWN",
        "GLAC 120 with C, UNKNOWN",
        "'placement \"Rates\"', UNKNOWN",
        "standing 3, UNKNOWN",
        "credits 31, UNKNOWN",
        "'GLAC 120 or permission \"the department\"', UNKNOWN",
        "'GLAC 120 and permission \"the department\"', NEEDS_PERMISSION",
        "GLAC 120 or LIMN 130, UNKNOWN",
        "GLAC 120 and LIMN 130, UNKNOWN",
        "'permission \"the department\"', NEEDS_PERMISSION"
    })
    void aRecordThatSaysNothingMeetsNothingAndFailsNothing(String expression, Verdict verdict) {
        assertThat(judge(expression, NOTHING_SAID).verdict()).isEqualTo(verdict);
    }

    @Test
    void creditsWithoutCoursesDecideCreditsOnly() {
        StudentRecord credits = new StudentRecord(
                Set.of(), List.of(), Optional.of(BigDecimal.valueOf(46)), Optional.of(2), Set.of(), Set.of(), Map.of());

        assertThat(judge("GLAC 120", credits).verdict()).isEqualTo(UNKNOWN);
        assertThat(judge("credits 45", credits).verdict()).isEqualTo(MET);
        assertThat(judge("GLAC 120 and credits 60", credits).verdict()).isEqualTo(NOT_MET);
        assertThat(judge("GLAC 120 or credits 45", credits).verdict()).isEqualTo(MET);
    }

    @Test
    void whatIsPlannedForTheSameTermServesWhereAlongsideIsEnough() {
        Evaluation evaluation = new Evaluation(StudentRecord.NEW, Set.of(course("NUMB 210")), KERNEL);

        assertThat(evaluation
                        .judge(PrerequisiteNotation.parse("NUMB 210 alongside"))
                        .verdict())
                .isEqualTo(PLANNED);
        assertThat(evaluation.judge(PrerequisiteNotation.parse("NUMB 210")).verdict())
                .isEqualTo(NOT_MET);
    }

    @Test
    void courseThatStandsForAnotherCountsBothWays() {
        assertThat(judge("LIMN 244d", record("GLAC 240d")).verdict()).isEqualTo(MET);
        assertThat(judge("GLAC 240d", record("LIMN 244d")).verdict()).isEqualTo(MET);
    }

    /** Credit for one of two courses only does not make the one do for the other. */
    @Test
    void courseThatOnlyExcludesCreditDoesNotCount() {
        Schedule schedule = Schedules.of(
                section("NUMB 112").entry("40001").creditOnceWith("LIMN 130").build(),
                section("LIMN 130").entry("40002").build(),
                section("GLAC 120").entry("40003").standsFor("TIDE 110").build());

        assertThat(in(schedule, "NUMB 112", "LIMN 130")).isEqualTo(NOT_MET);
        assertThat(in(schedule, "LIMN 130", "NUMB 112")).isEqualTo(NOT_MET);
        assertThat(in(schedule, "GLAC 120", "TIDE 110"))
                .as("said of the course itself")
                .isEqualTo(MET);
        assertThat(in(schedule, "TIDE 110", "GLAC 120")).as("said of the other").isEqualTo(MET);
    }

    private static Verdict in(Schedule schedule, String needed, String passed) {
        return new Evaluation(record(passed), Set.of(), schedule)
                .judge(PrerequisiteNotation.parse(needed))
                .verdict();
    }

    @Test
    void shortestWaysOfFieldGlaciology() {
        Prerequisite needs = KERNEL.course(course("GLAC 240d"))
                .orElseThrow()
                .rules()
                .prerequisites()
                .get(0)
                .expression()
                .orElseThrow();

        assertThat(ways(needs, record("")))
                .containsExactlyInAnyOrder(
                        List.of("GLAC 120 with C", "TIDE 110"),
                        List.of("GLAC 120 with C", "NUMB 112"),
                        List.of("LIMN 130 with C", "TIDE 110"),
                        List.of("LIMN 130 with C", "NUMB 112"));
        assertThat(ways(needs, record("GLAC 120=B")))
                .containsExactlyInAnyOrder(List.of("TIDE 110"), List.of("NUMB 112"));
        assertThat(ways(needs, record("GLAC 120=B;TIDE 110="))).isEmpty();
    }

    @Test
    void courseThatIsAskedForTwiceIsTakenOnce() {
        Prerequisite needs = PrerequisiteNotation.parse("(GLAC 120 or TIDE 110) and (GLAC 120 or LIMN 130)");

        assertThat(ways(needs, record(""))).containsExactly(List.of("GLAC 120"));
    }

    /** An expression is met exactly where LogicNG says that the formula holds under the same assignment. */
    @Property
    void agreesWithLogic(@ForAll Random dice) {
        Prerequisite expression = expression(dice, 3);
        Set<String> passed =
                COURSES.stream().filter(course -> dice.nextInt(3) == 0).collect(Collectors.toSet());
        FormulaFactory formulas = new FormulaFactory();
        Formula formula = formula(expression, formulas);
        Assignment assignment = new Assignment(COURSES.stream()
                .map(course -> formulas.literal(name(course), passed.contains(course)))
                .toArray(Literal[]::new));

        Judged judged = judge(expression, record(String.join(";", passed)));
        assertThat(judged.verdict() == MET).isEqualTo(formula.evaluate(assignment));

        List<List<Prerequisite>> ways = ShortestWays.of(judged);
        assertThat(ways.isEmpty()).isEqualTo(judged.verdict() == MET);
        for (List<Prerequisite> way : ways) {
            Set<String> more = way.stream().map(Prerequisite::toString).collect(Collectors.toSet());
            more.addAll(passed);
            assertThat(judge(expression, record(String.join(";", more))).verdict())
                    .isEqualTo(MET);
        }
        // No way is shorter: every smaller set of courses leaves the formula false.
        int shortest = ways.stream().mapToInt(List::size).min().orElse(0);
        for (int choice = 0; choice < 1 << COURSES.size(); choice++) {
            if (Integer.bitCount(choice) < shortest) {
                int chosen = choice;
                Assignment shorter = new Assignment(COURSES.stream()
                        .map(course -> formulas.literal(
                                name(course), passed.contains(course) || (chosen >> COURSES.indexOf(course) & 1) == 1))
                        .toArray(Literal[]::new));
                assertThat(formula.evaluate(shorter)).isFalse();
            }
        }
    }

    /** What is in progress and what is supposed count as LogicNG says of the formula with them; where a record is silent nothing is "not met". */
    @Property(tries = 400)
    void eachStepOfCertaintyAgreesWithLogic(@ForAll Random dice) {
        Prerequisite expression = expression(dice, 3);
        Map<String, Integer> certain = new HashMap<>();
        COURSES.forEach(course -> certain.put(course, dice.nextInt(5)));
        List<Taken> supposed = those(certain, 2)
                .map(course -> new Taken(course(course), Optional.empty()))
                .toList();
        StudentRecord record = record(
                        Stream.concat(those(certain, 0), those(certain, 1).map(course -> course + "="))
                                .collect(Collectors.joining(";")))
                .supposing(supposed);
        StudentRecord silent = new StudentRecord(
                Set.of(), record.courses(), Optional.empty(), Optional.empty(), Set.of(), Set.of(), Map.of());

        Verdict verdict = judge(expression, record).verdict();

        assertThat(verdict == MET).isEqualTo(holds(expression, certain, 0));
        assertThat(verdict.compareTo(IN_PROGRESS) <= 0).isEqualTo(holds(expression, certain, 1));
        assertThat(verdict.compareTo(SUPPOSED) <= 0).isEqualTo(holds(expression, certain, 2));
        assertThat(judge(expression, silent).verdict()).isEqualTo(verdict == NOT_MET ? UNKNOWN : verdict);
        assertThat(SUPPOSED.willDo())
                .as("nobody is let in by what they suppose")
                .isFalse();
    }

    private static Stream<String> those(Map<String, Integer> certain, int step) {
        return COURSES.stream().filter(course -> certain.get(course) == step);
    }

    /** Whether the formula holds with all courses of this step and the more certain ones. */
    private static boolean holds(Prerequisite expression, Map<String, Integer> certain, int step) {
        FormulaFactory formulas = new FormulaFactory();
        return formula(expression, formulas)
                .evaluate(new Assignment(COURSES.stream()
                        .map(course -> formulas.literal(name(course), certain.get(course) <= step))
                        .toArray(Literal[]::new)));
    }

    private static Prerequisite expression(Random dice, int depth) {
        if (depth == 0 || dice.nextInt(3) == 0) {
            return new Passed(course(COURSES.get(dice.nextInt(COURSES.size()))), Optional.empty(), false);
        }
        List<Prerequisite> parts = Stream.generate(() -> expression(dice, depth - 1))
                .limit(2 + dice.nextInt(3))
                .toList();
        return new AtLeast(1 + dice.nextInt(parts.size()), parts);
    }

    private static Formula formula(Prerequisite expression, FormulaFactory formulas) {
        if (expression instanceof AtLeast choice) {
            List<Formula> parts =
                    choice.parts().stream().map(part -> formula(part, formulas)).toList();
            List<Formula> ways = new ArrayList<>();
            for (int some = 0; some < 1 << parts.size(); some++) {
                if (Integer.bitCount(some) == choice.count()) {
                    int chosen = some;
                    ways.add(formulas.and(IntStream.range(0, parts.size())
                            .filter(i -> (chosen >> i & 1) == 1)
                            .mapToObj(parts::get)
                            .toList()));
                }
            }
            return formulas.or(ways);
        }
        return formulas.variable(name(expression.toString()));
    }

    private static String name(String course) {
        return course.replace(" ", "_");
    }

    private static List<List<String>> ways(Prerequisite needs, StudentRecord student) {
        return ShortestWays.of(judge(needs, student)).stream()
                .map(way -> way.stream()
                        .map(Prerequisite::toString)
                        .sorted(Comparator.naturalOrder())
                        .toList())
                .toList();
    }

    private static Judged judge(String expression, StudentRecord student) {
        return judge(PrerequisiteNotation.parse(expression), student);
    }

    private static Judged judge(Prerequisite expression, StudentRecord student) {
        return new Evaluation(student, Set.of(), KERNEL).judge(expression);
    }

    /** A record of the second year with 30 credits; courses without a grade sign are passed with an A, with an empty one in progress. */
    private static StudentRecord record(String courses) {
        return new StudentRecord(
                Set.of(StudentRecord.Part.values()),
                Arrays.stream(courses.split(";"))
                        .filter(text -> !text.isEmpty())
                        .map(EvaluationTest::taken)
                        .toList(),
                Optional.of(BigDecimal.valueOf(30)),
                Optional.of(2),
                Set.of("Functions"),
                Set.of(),
                Map.of());
    }

    private static Taken taken(String text) {
        String[] parts = text.split("=", 2);
        return new Taken(
                course(parts[0]),
                parts.length == 1 ? GradeScale.LETTERS.parse("A") : GradeScale.LETTERS.parse(parts[1]));
    }

    private static CourseCode course(String written) {
        return new CourseCode(written.split(" ")[0], written.split(" ")[1]);
    }
}
