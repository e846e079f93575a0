package ample.ledger.standin.people;

import ample.ledger.core.reading.BindingDate;
import ample.ledger.core.reading.OwnOpening;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.registrar.StudentFile.OfTerm;
import ample.ledger.core.schedule.BindingRule;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.LoadRule;
import ample.ledger.core.schedule.Requirement;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.standin.clock.InstitutionClock;
import ample.ledger.standin.posted.PostedBundles;
import java.math.BigDecimal;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Everybody whom the institution knows. */
@Component
public class People {

    /** Of the mailboxes of students; no such address is ever given to anybody (RFC 2606). */
    private static final String MAIL = "@students.example";

    private final GeneratedStudents generated;
    private final PostedBundles bundles;
    private final InstitutionClock clock;

    /** The term by which the requirements are counted: that of which most is posted. */
    private final Schedule largest;

    People(PostedBundles bundles, InstitutionClock clock) {
        this.bundles = bundles;
        this.clock = clock;
        this.largest = bundles.all().stream()
                .max(Comparator.comparing(schedule -> schedule.sections().size()))
                .orElseThrow();
        this.generated = new GeneratedStudents(largest);
    }

    /** What somebody is to the institution. */
    public enum Role {
        STUDENT,
        ADVISER,
        DESK
    }

    /**
     * Somebody who can sign in.
     *
     * @param account as they sign in
     * @param name as they are called
     * @param words who that is, for the page to sign in
     */
    public record Somebody(String account, String name, String words, Role role) {}

    /** Those whom the page to sign in names. */
    public List<Somebody> named() {
        return Stream.concat(
                        Stream.of("wren", "maris", "tamsin", "odo", "bryn").map(this::somebody),
                        Stream.of("adviser", "desk").map(this::somebody))
                .flatMap(Optional::stream)
                .toList();
    }

    /** Whoever has that account. */
    public Optional<Somebody> somebody(String account) {
        return switch (account) {
            case "desk" -> Optional.of(new Somebody("desk", "The desk", "the registrar's desk", Role.DESK));
            case "adviser" -> Optional.of(new Somebody("adviser", "The adviser", "advises students", Role.ADVISER));
            default ->
                student(account).map(student -> new Somebody(account, student.name(), student.words(), Role.STUDENT));
        };
    }

    private Optional<Student> student(String account) {
        Student ofTheDemo = DemoStudents.ALL.get(account);
        return ofTheDemo == null ? generated.student(account) : Optional.of(ofTheDemo);
    }

    /** What is known of a student now. */
    public Optional<StudentFile> file(String account) {
        return student(account).map(student -> file(account, student));
    }

    private StudentFile file(String account, Student student) {
        Set<String> met = met(student);
        return new StudentFile(
                account,
                student.name(),
                Optional.of(account + MAIL),
                clock.now(),
                BigDecimal.valueOf(student.credits()),
                student.level(),
                Optional.of(student.programme()).filter(code -> !code.isEmpty()),
                Optional.of(student.homeCampus()),
                Optional.empty(),
                student.onFile(),
                student.placements(),
                student.waived(),
                List.copyOf(met),
                largest.requirements().stream()
                        .map(Requirement::code)
                        .filter(code -> !met.contains(code))
                        .toList(),
                student.holds(),
                bundles.all().stream()
                        .map(schedule -> ofTerm(student, schedule))
                        .toList());
    }

    /** The codes of the requirements that a passed course counts toward. */
    private Set<String> met(Student student) {
        return student.onFile().stream()
                .filter(course ->
                        course.grade().filter(grade -> !grade.equals("F")).isPresent())
                .map(course -> course.course().split(" "))
                .flatMap(parts -> largest.course(new CourseCode(parts[0], parts[1])).stream())
                .map(Course::requirements)
                .flatMap(List::stream)
                .collect(Collectors.toUnmodifiableSet());
    }

    /** With the end of the last day on which some section of the term can still be added. */
    private static Optional<LocalDateTime> closes(Schedule schedule) {
        return schedule.spans().stream()
                .flatMap(span -> BindingDate.of(span, schedule.lists().bindingRules()).stream())
                .filter(date -> date.rule().purpose() == BindingRule.Purpose.ADD)
                .map(date -> date.date().plusDays(1).atStartOfDay())
                .max(Comparator.naturalOrder());
    }

    private static OfTerm ofTerm(Student student, Schedule schedule) {
        return new OfTerm(
                schedule.term().code().text(),
                OwnOpening.of(schedule.lists().openings(), BigDecimal.valueOf(student.credits()))
                        .map(own -> own.opening().from()),
                closes(schedule),
                schedule.lists().loads().stream()
                        .filter(load -> load.sort() == LoadRule.Sort.OVER_LOAD)
                        .map(LoadRule::credits)
                        .findFirst());
    }
}
