package ample.ledger.core.plan;

import ample.ledger.core.fixtures.PlainPerson;
import ample.ledger.core.fixtures.PlainTogether;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.Companion;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.CreditShare;
import ample.ledger.core.schedule.Equivalent;
import ample.ledger.core.schedule.Grade;
import ample.ledger.core.schedule.GradeScale;
import ample.ledger.core.schedule.LoadRule;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.math.BigDecimal;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Whether a week of one term will stand, read rule by rule and as plainly as can be. */
record PlainWeek(Schedule schedule, PlainTogether together, PlainPerson person, List<Section> taken) {

    boolean stands() {
        return taken.stream().allMatch(this::isOpen)
                && taken.stream().allMatch(one -> taken.stream().noneMatch(other -> together.apart(one, other)))
                && taken.stream().allMatch(this::isComplete)
                && courses().stream().allMatch(this::isAllowed)
                && !isOverLoad();
    }

    /** It is open for sure, or will be when registration opens. */
    private boolean isOpen(Section section) {
        return Set.of("open", "not-yet-open")
                .contains(person.status(section, section.pool().count()));
    }

    private boolean isComplete(Section section) {
        List<Section> ofCourse = schedule.sections().stream()
                .filter(other -> other.course().equals(section.course()))
                .toList();
        if (section.companion().isPresent()) {
            return taken.stream().anyMatch(lead -> isLead(lead, section));
        }
        Set<String> asked = new HashSet<>();
        Set<String> chosen = new HashSet<>();
        for (Section other : ofCourse) {
            if (isLead(section, other)) {
                String choice = other.companion().map(Companion::choice).orElseThrow();
                asked.add(choice);
                if (taken.contains(other)) {
                    chosen.add(choice);
                }
            }
        }
        return asked.equals(chosen);
    }

    private static boolean isLead(Section lead, Section companion) {
        return lead.companion().isEmpty()
                && lead.course().equals(companion.course())
                && companion
                        .companion()
                        .filter(some -> some.boundTo().map(lead.entry()::equals).orElse(true))
                        .isPresent();
    }

    private Set<Course> courses() {
        return taken.stream()
                .filter(section -> section.companion().isEmpty())
                .map(Section::course)
                .collect(Collectors.toSet());
    }

    private boolean isAllowed(Course course) {
        return course.rules().corequisites().stream()
                        .allMatch(beside -> isPlanned(beside.course()) || passed(beside.course(), Optional.empty()))
                && course.rules().prerequisites().stream()
                        .allMatch(posted ->
                                posted.expression().filter(this::isMet).isPresent());
    }

    private boolean isPlanned(CourseCode course) {
        return taken.stream().anyMatch(section -> section.course().code().equals(course));
    }

    private boolean passed(CourseCode course, Optional<Grade> least) {
        return taken(course).stream()
                .flatMap(on -> on.grade().stream())
                .anyMatch(grade -> grade.passes() && (least.isEmpty() || grade.isAtLeast(least.get())));
    }

    private List<StudentRecord.Taken> taken(CourseCode course) {
        return person.student().stream()
                .flatMap(record -> record.courses().stream())
                .filter(on -> on.course().equals(course))
                .toList();
    }

    private boolean isMet(Prerequisite condition) {
        Optional<StudentRecord> record = person.student();
        if (condition instanceof Prerequisite.AtLeast choice) {
            return choice.parts().stream().filter(this::isMet).count() >= choice.count();
        }
        if (condition instanceof Prerequisite.Passed passed) {
            return standingFor(passed.course()).stream()
                    .anyMatch(course -> passed(course, passed.leastGrade().flatMap(GradeScale.LETTERS::parse))
                            || taken(course).stream().anyMatch(on -> on.grade().isEmpty())
                            || passed.alongside() && isPlanned(course));
        }
        if (condition instanceof Prerequisite.Permission permission) {
            return record.filter(known -> known.permissions().contains(permission.by()))
                    .isPresent();
        }
        if (condition instanceof Prerequisite.Placement placement) {
            return record.filter(known -> known.placements().contains(placement.name()))
                    .isPresent();
        }
        if (condition instanceof Prerequisite.Standing standing) {
            return record.flatMap(StudentRecord::level).orElse(0) >= standing.level();
        }
        int credits = ((Prerequisite.CreditsEarned) condition).credits();
        return record.flatMap(StudentRecord::creditsEarned)
                .filter(earned -> earned.doubleValue() >= credits)
                .isPresent();
    }

    /** Equivalents, whichever of the two says so. */
    private Set<CourseCode> standingFor(CourseCode wanted) {
        Set<CourseCode> all = new HashSet<>(Set.of(wanted));
        for (Course course : schedule.courses()) {
            for (Equivalent equivalent : course.rules().equivalents()) {
                if (equivalent.effect() == Equivalent.Effect.STANDS_FOR) {
                    if (course.code().equals(wanted)) {
                        all.add(equivalent.course());
                    } else if (equivalent.course().equals(wanted)) {
                        all.add(course.code());
                    }
                }
            }
        }
        return all;
    }

    private boolean isOverLoad() {
        BigDecimal credits = courses().stream().map(this::creditsHere).reduce(BigDecimal.ZERO, BigDecimal::add);
        return schedule.lists().loads().stream()
                .filter(rule -> rule.sort() == LoadRule.Sort.OVER_LOAD)
                .map(LoadRule::credits)
                .filter(Objects::nonNull)
                .anyMatch(most -> credits.compareTo(most) > 0);
    }

    /** Of a course of two terms its share of this one. */
    private BigDecimal creditsHere(Course course) {
        return course.shares().stream()
                .filter(share -> share.term().equals(schedule.term().code()))
                .map(CreditShare::credits)
                .findFirst()
                .orElse(course.credits());
    }
}
