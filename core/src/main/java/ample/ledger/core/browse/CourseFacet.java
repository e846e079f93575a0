package ample.ledger.core.browse;

import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Department;
import ample.ledger.core.schedule.Programme;
import ample.ledger.core.schedule.Requirement;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Subject;
import java.math.BigDecimal;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;

/** A facet of the course: all its sections share it. */
public enum CourseFacet implements Facet {
    SUBJECT(
            Condition.Topic.SUBJECT,
            "subject",
            "subjects",
            "in",
            (course, schedule) -> List.of(course.code().subject()),
            schedule -> schedule.subjects().stream()
                    .map(subject -> new Value(subject.code(), subject.name()))
                    .toList()),
    DEPARTMENT(
            Condition.Topic.DEPARTMENT,
            "department",
            "departments",
            "given by",
            (course, schedule) -> schedule.subject(course.code().subject()).flatMap(Subject::department).stream()
                    .toList(),
            schedule -> named(schedule.lists().departments(), Department::code, Department::name)),
    PROGRAMME(
            Condition.Topic.PROGRAMME,
            "programme",
            "programmes",
            "part of",
            (course, schedule) -> course.programmes(),
            schedule -> named(schedule.lists().programmes(), Programme::code, Programme::name)),
    LEVEL(
            Condition.Topic.LEVEL,
            "level",
            "levels",
            "of level",
            (course, schedule) -> List.of(String.valueOf(course.level())),
            schedule -> schedule.courses().stream()
                    .map(Course::level)
                    .distinct()
                    .sorted()
                    .map(String::valueOf)
                    .map(level -> new Value(level, level))
                    .toList()),
    CREDITS(
            Condition.Topic.CREDITS,
            "credits",
            "numbers of credits",
            "worth",
            (course, schedule) -> List.of(code(course.credits())),
            schedule -> schedule.courses().stream()
                    .map(course -> code(course.credits()))
                    .distinct()
                    .sorted((one, other) -> new BigDecimal(one).compareTo(new BigDecimal(other)))
                    .map(credits -> new Value(credits, credits.equals("1") ? "1 credit" : credits + " credits"))
                    .toList()),
    REQUIREMENT(
            Condition.Topic.REQUIREMENT,
            "toward",
            "requirements",
            "counting toward",
            (course, schedule) -> course.requirements(),
            schedule -> named(schedule.requirements(), Requirement::code, Requirement::name));

    private final Traits traits;
    private final BiFunction<Course, Schedule, List<String>> codes;

    CourseFacet(
            Condition.Topic topic,
            String parameter,
            String plural,
            String lead,
            BiFunction<Course, Schedule, List<String>> codes,
            Function<Schedule, List<Value>> values) {
        this.traits = new Traits(topic, parameter, plural, lead, values);
        this.codes = codes;
    }

    @Override
    public Traits traits() {
        return traits;
    }

    @Override
    public CourseCondition.Having having(Set<String> wanted, Match match) {
        return new CourseCondition.Having(this, wanted, match);
    }

    /** The values that the course has. */
    List<String> codesOf(Course course, Schedule schedule) {
        return codes.apply(course, schedule);
    }

    /** "3" of 3.0, "1.5" of 1.50. */
    private static String code(BigDecimal credits) {
        return credits.signum() == 0 ? "0" : credits.stripTrailingZeros().toPlainString();
    }

    private static <T> List<Value> named(List<T> items, Function<T, String> code, Function<T, String> name) {
        return items.stream()
                .map(item -> new Value(code.apply(item), name.apply(item)))
                .toList();
    }
}
