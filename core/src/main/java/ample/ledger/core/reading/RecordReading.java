package ample.ledger.core.reading;

import ample.ledger.core.requirement.Eligibility;
import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.requirement.Evaluation.Judged;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.requirement.StudentRecord.Part;
import ample.ledger.core.requirement.StudentRecord.Taken;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Equivalent;
import ample.ledger.core.schedule.PostedPrerequisite;
import ample.ledger.core.schedule.Restriction;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/**
 * Reads the courses and sections of one schedule by one record: whether the student may take them, whether they are on the record already, and
 * whether they count toward what is still owed. Safe for many threads.
 */
public final class RecordReading {

    private final Schedule schedule;
    private final Background background;
    private final StudentRecord record;
    private final Evaluation evaluation;

    /** Passed or in progress. */
    private final Set<CourseCode> has;

    /** By a course beside which no credit is given, the first on the record that says so. */
    private final Map<CourseCode, CourseCode> excluded = new HashMap<>();

    private final Map<CourseCode, MayTakeReading> ofCourses = new ConcurrentHashMap<>();
    private final Map<Schedule, RecordReading> others = new ConcurrentHashMap<>();

    public RecordReading(Schedule schedule, Background background) {
        this.schedule = schedule;
        this.background = background;
        this.record = background.record().orElse(StudentRecord.UNKNOWN);
        this.evaluation = new Evaluation(record, background.planned(), schedule);
        this.has = record.passedOrInProgress();
        has.stream()
                .sorted()
                .flatMap(code -> schedule.course(code).stream())
                .forEach(on -> on.rules().equivalents().stream()
                        .map(Equivalent::course)
                        .forEach(other -> excluded.putIfAbsent(other, on.code())));
    }

    /**
     * Whether the student may take something.
     *
     * @param reasons why not, or not surely; none where they may
     */
    public record MayTakeReading(MayTake may, List<Reason> reasons) {

        public MayTakeReading {
            reasons = List.copyOf(reasons);
        }

        private static MayTakeReading of(List<Reason> reasons) {
            return new MayTakeReading(reasons.stream().map(Reason::may).reduce(MayTake.YES, MayTake::worse), reasons);
        }
    }

    /** Why somebody may not take something, or not surely. */
    public sealed interface Reason {

        /** What they may do, were this the only reason. */
        MayTake may();

        /**
         * What must come before is not met.
         *
         * @param judged empty where the registrar leaves it to people
         */
        record Before(PostedPrerequisite posted, Optional<Judged> judged) implements Reason {

            @Override
            public MayTake may() {
                return judged.map(Judged::verdict)
                        .map(verdict -> switch (verdict) {
                            case MET, WAIVED, IN_PROGRESS, PLANNED -> MayTake.YES;
                            case SUPPOSED -> MayTake.WITH_WHAT_IF;
                            case NEEDS_PERMISSION -> MayTake.BY_PERMISSION;
                            case UNKNOWN -> MayTake.NOT_KNOWN;
                            case NOT_MET -> MayTake.NO;
                        })
                        .orElse(MayTake.NOT_KNOWN);
            }
        }

        /** No credit is given beside a course that is on the record. */
        record CreditGiven(CourseCode beside) implements Reason {

            @Override
            public MayTake may() {
                return MayTake.NO;
            }
        }

        /** They are not one of those who may take it, or it is not known whether they are. */
        record NotForAll(Restriction restriction, boolean known) implements Reason {

            @Override
            public MayTake may() {
                return known ? MayTake.NO : MayTake.NOT_KNOWN;
            }
        }
    }

    public Schedule schedule() {
        return schedule;
    }

    /** What the record says; of nobody in particular, that nothing is known. */
    public StudentRecord record() {
        return record;
    }

    /** Who is read for. */
    public Background background() {
        return background;
    }

    /** What conditions are judged by. */
    public Evaluation evaluation() {
        return evaluation;
    }

    /** Whether a course is passed or in progress. */
    public boolean has(CourseCode course) {
        return has.contains(course);
    }

    /** The same student and record, reading another schedule, for which nothing is planned. */
    public RecordReading of(Schedule other) {
        return others.computeIfAbsent(other, absent -> {
            Person there = Person.of(other, background.record(), today().atStartOfDay());
            return new RecordReading(other, new Background(there, background.record(), Set.of()));
        });
    }

    /** The day on which it is read, where the institution stands. */
    public LocalDate today() {
        return background.person().today();
    }

    /** Whether the student may take a section. */
    public MayTakeReading mayTake(Section section) {
        MayTakeReading course = mayTake(section.course());
        List<Reason> own = section.restrictions().isEmpty()
                ? List.of()
                : restrictions(section.restrictions()).toList();
        return own.isEmpty()
                ? course
                : MayTakeReading.of(
                        Stream.concat(course.reasons().stream(), own.stream()).toList());
    }

    /** Whether the student may take a course, as far as it does not depend on the section. */
    public MayTakeReading mayTake(Course course) {
        return ofCourses.computeIfAbsent(
                course.code(),
                absent -> MayTakeReading.of(Stream.of(
                                before(course),
                                creditGiven(course).stream(),
                                restrictions(course.rules().restrictions()))
                        .flatMap(reasons -> reasons)
                        .toList()));
    }

    private Stream<Reason> before(Course course) {
        if (record.waived().contains(course.code())) {
            return Stream.of();
        }
        return course.rules().prerequisites().stream()
                .<Reason>map(posted ->
                        new Reason.Before(posted, posted.expression().map(condition -> evaluation.judge(condition))))
                .filter(reason -> reason.may() != MayTake.YES);
    }

    private Optional<Reason> creditGiven(Course course) {
        return Stream.concat(
                        course.rules().equivalents().stream()
                                .map(Equivalent::course)
                                .filter(has::contains),
                        Optional.ofNullable(excluded.get(course.code())).stream())
                .filter(on -> !on.equals(course.code()))
                .min(Comparator.naturalOrder())
                .map(Reason.CreditGiven::new);
    }

    private Stream<Reason> restrictions(List<Restriction> restrictions) {
        Person person = background.person();
        return restrictions.stream()
                .flatMap(restriction -> switch (Eligibility.of(restriction, person::belongsTo, person.today())) {
                    case ALLOWED, PAST -> Stream.of();
                    case NOT_ALLOWED -> Stream.of(new Reason.NotForAll(restriction, true));
                    case NOT_SAID, FOR_PEOPLE -> Stream.of(new Reason.NotForAll(restriction, false));
                });
    }

    /** What stands of a course on the record. */
    public OnRecord onRecord(Course course) {
        List<Taken> own = record.courses().stream()
                .filter(taken -> taken.course().equals(course.code()))
                .toList();
        if (own.stream().anyMatch(Taken::passed)) {
            return OnRecord.PASSED;
        }
        if (own.stream().anyMatch(Taken::inProgress)) {
            return OnRecord.IN_PROGRESS;
        }
        Set<CourseCode> standing = schedule.countingAs(course.code());
        if (has.stream().anyMatch(standing::contains)) {
            return OnRecord.EQUIVALENT;
        }
        if (own.stream().anyMatch(taken -> !taken.supposed())) {
            return OnRecord.NOT_PASSED;
        }
        if (record.courses().stream().anyMatch(taken -> taken.supposed() && standing.contains(taken.course()))) {
            return OnRecord.WHAT_IF;
        }
        return record.known().contains(Part.COURSES) ? OnRecord.NOTHING : OnRecord.NOT_KNOWN;
    }

    /** Whether a course counts toward what is still owed. */
    public StillOwed stillOwed(Course course) {
        if (course.requirements().isEmpty()) {
            return StillOwed.NO;
        }
        return record.owed()
                .map(owed -> course.requirements().stream().anyMatch(owed::contains) ? StillOwed.YES : StillOwed.NO)
                .orElse(StillOwed.NOT_KNOWN);
    }
}
