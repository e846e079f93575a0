package ample.ledger.standin.people;

import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.requirement.StudentRecord.Taken;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Grade;
import ample.ledger.core.schedule.GradeScale;
import ample.ledger.core.schedule.Programme;
import ample.ledger.core.schedule.Schedule;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Any number of further students, {@code student-1} and so on. Each has passed courses that are posted, in an order in which every
 * course had what it asks for before; the same number is always the same student.
 */
final class GeneratedStudents {

    static final int MOST = 100_000;

    private static final Pattern NAME = Pattern.compile("student-([1-9][0-9]{0,5})");
    private static final int USUAL_GRADES = 8;
    private static final int CREDITS_OF_A_YEAR = 30;
    private static final int YEARS = 4;

    private final Schedule schedule;
    private final List<Course> courses;
    private final List<Grade> grades;

    /** To work one out takes some milliseconds. */
    private final Map<Integer, Student> known = new ConcurrentHashMap<>();

    GeneratedStudents(Schedule schedule) {
        this.schedule = schedule;
        this.courses = schedule.courses().stream()
                .filter(course -> course.credits().stripTrailingZeros().scale() <= 0)
                .toList();
        GradeScale scale = schedule.institution().grades();
        this.grades = scale.steps().stream()
                .filter(GradeScale.Step::passes)
                .limit(USUAL_GRADES)
                .flatMap(step -> scale.parse(step.text()).stream())
                .toList();
    }

    /** The student of that name; empty for any other name. */
    Optional<Student> student(String name) {
        var matcher = NAME.matcher(name);
        if (!matcher.matches() || Integer.parseInt(matcher.group(1)) > MOST) {
            return Optional.empty();
        }
        return Optional.of(known.computeIfAbsent(Integer.valueOf(matcher.group(1)), this::student));
    }

    private Student student(int number) {
        Random dice = new Random(number);
        List<Taken> taken = taken(dice, dice.nextInt(YEARS * CREDITS_OF_A_YEAR));
        int credits = StudentRecord.creditsOf(taken, schedule).intValueExact();
        return new Student(
                "Student " + number,
                "",
                credits,
                1 + Math.min(YEARS - 1, credits / CREDITS_OF_A_YEAR),
                credits < CREDITS_OF_A_YEAR ? "" : programme(dice),
                schedule.campuses()
                        .get(dice.nextInt(schedule.campuses().size()))
                        .code()
                        .text(),
                taken.stream()
                        .map(one -> (one.course() + " "
                                        + one.grade().map(Grade::text).orElse(""))
                                .strip())
                        .collect(Collectors.joining("\n")),
                List.of(),
                List.of(),
                List.of());
    }

    private String programme(Random dice) {
        List<Programme> programmes = schedule.lists().programmes();
        return programmes.isEmpty()
                ? ""
                : programmes.get(dice.nextInt(programmes.size())).code();
    }

    /** Courses until there are so many credits, or until none is left whose conditions are met. */
    private List<Taken> taken(Random dice, int credits) {
        List<Course> left = new ArrayList<>(courses);
        Collections.shuffle(left, dice);
        List<Taken> taken = new ArrayList<>();
        int earned = 0;
        boolean more = true;
        while (more && earned < credits) {
            StudentRecord record = record(taken);
            Optional<Course> next =
                    left.stream().filter(course -> mayTake(course, record)).findFirst();
            more = next.isPresent();
            if (next.isPresent()) {
                left.remove(next.get());
                earned += next.get().credits().intValueExact();
                taken.add(new Taken(next.get().code(), Optional.of(grades.get(dice.nextInt(grades.size())))));
            }
        }
        return taken;
    }

    private boolean mayTake(Course course, StudentRecord record) {
        Evaluation evaluation = new Evaluation(record, List.of(), schedule);
        boolean already = course.rules().equivalents().stream()
                .anyMatch(equivalent -> record.passed().contains(equivalent.course()));
        return !already
                && course.rules().prerequisites().stream()
                        .flatMap(posted -> posted.expression().stream())
                        .allMatch(expression ->
                                evaluation.judge(expression).verdict().willDo());
    }

    private StudentRecord record(List<Taken> taken) {
        BigDecimal earned = StudentRecord.creditsOf(taken, schedule);
        return new StudentRecord(
                Set.of(StudentRecord.Part.values()),
                taken,
                Optional.of(earned),
                Optional.of(1 + Math.min(YEARS - 1, earned.intValue() / CREDITS_OF_A_YEAR)),
                Set.of(),
                Set.of(),
                Map.of());
    }
}
