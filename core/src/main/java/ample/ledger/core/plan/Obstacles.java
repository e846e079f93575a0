package ample.ledger.core.plan;

import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.PostedPrerequisite;
import ample.ledger.core.schedule.Term;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Stream;

/** Finds everything that stands in the way of a plan, and what would mend it. */
public final class Obstacles {

    private final PlannedWeek week;
    private final List<Attendance> attended;

    private Obstacles(PlannedWeek week) {
        this.week = week;
        this.attended = week.attended();
    }

    /**
     * Whose plan it is, as far as it matters.
     *
     * @param home the home campus; empty for none
     * @param calendar the term whose calendar is the student's own
     * @param record empty where nothing is known
     */
    public record Student(Optional<CampusCode> home, Term calendar, Optional<StudentRecord> record) {}

    /** Those that stop the plan first, then what is only to be known; each once. */
    public static List<Obstacle> of(PlannedWeek week, Student student) {
        Obstacles found = new Obstacles(week);
        return Stream.<Stream<? extends Obstacle>>of(
                        week.missing().stream().map(Obstacle.NoLongerPosted::new),
                        found.attended.stream()
                                .filter(attendance -> attendance.section().cancelled())
                                .map(Obstacle.IsCancelled::new),
                        Clash.all(week.engagements()).stream()
                                .filter(clash -> !Together.isSeenTo(clash))
                                .map(Obstacle.SameTime::new),
                        Travel.notMade(found.attended, week.posted()).stream().map(Obstacle.NoTimeToTravel::new),
                        found.pairs(),
                        found.companions(),
                        found.corequisites(student.record()),
                        found.prerequisites(student.record()),
                        found.overLoads(),
                        found.duringOwnExams(),
                        found.manyExams().stream(),
                        found.elsewhere(student))
                .flatMap(Function.identity())
                .map(Obstacle.class::cast)
                .sorted(Comparator.comparing(obstacle -> !obstacle.stops()))
                .toList();
    }

    /** What would mend it by changing sections, every one of which fits; empty where nothing does or where nothing has to. */
    public static List<Swap> remedies(Obstacle obstacle, PlannedWeek week) {
        if (obstacle instanceof Obstacle.SameTime same) {
            return Swap.ridOfEachOther(same.clash().one(), same.clash().other(), week);
        }
        if (obstacle instanceof Obstacle.NoTimeToTravel none) {
            return Swap.ridOfEachOther(none.travel().from(), none.travel().to(), week);
        }
        if (obstacle instanceof Obstacle.IsCancelled cancelled) {
            return Swap.of(cancelled.attendance(), week);
        }
        if (obstacle instanceof Obstacle.LacksCompanion lacks) {
            List<Swap> added = Swap.companions(lacks.lead(), lacks.choice(), week);
            return added.isEmpty() ? Swap.of(lacks.lead(), week) : added;
        }
        if (obstacle instanceof Obstacle.LacksLead lacks) {
            return Swap.of(lacks.companion(), week);
        }
        if (obstacle instanceof Obstacle.LacksCorequisite lacks) {
            return Swap.corequisites(lacks.attendance(), lacks.corequisite(), week);
        }
        if (obstacle instanceof Obstacle.ManyExams many) {
            return many.exams().stream()
                    .distinct()
                    .flatMap(exam -> Swap.of(exam, week).stream()
                            .filter(swap -> swap.out().contains(exam))
                            .filter(swap -> swap.in().stream().noneMatch(other -> hasExam(other, many.date()))))
                    .toList();
        }
        if (obstacle instanceof Obstacle.OtherCampus other) {
            return Swap.of(other.attendance(), week).stream()
                    .filter(swap -> swap.out().contains(other.attendance()))
                    .filter(swap -> swap.in().stream()
                            .allMatch(one -> one.section().campus().equals(other.home())))
                    .toList();
        }
        return without(obstacle);
    }

    private static boolean hasExam(Attendance attendance, LocalDate date) {
        return attendance.stays().stream()
                .anyMatch(stay -> stay.exam() && stay.dates().contains(date));
    }

    /** Leaving out one of two that do not go together. */
    private static List<Swap> without(Obstacle obstacle) {
        if (obstacle instanceof Obstacle.SameCourse same) {
            return either(same.one(), same.other());
        }
        if (obstacle instanceof Obstacle.SharedListing shared) {
            return either(shared.one(), shared.other());
        }
        if (obstacle instanceof Obstacle.CreditOnce once) {
            return either(once.one(), once.other());
        }
        return List.of();
    }

    private static List<Swap> either(Attendance one, Attendance other) {
        return List.of(new Swap(List.of(other), List.of()), new Swap(List.of(one), List.of()));
    }

    private Stream<Obstacle> pairs() {
        List<Obstacle> pairs = new ArrayList<>();
        for (int i = 0; i < attended.size(); i++) {
            for (int j = i + 1; j < attended.size(); j++) {
                Together.ruledOut(attended.get(i), attended.get(j)).ifPresent(pairs::add);
            }
        }
        return pairs.stream();
    }

    private Stream<Obstacle> companions() {
        return attended.stream()
                .flatMap(attendance -> attendance.leads() ? lacksCompanions(attendance) : lacksLead(attendance));
    }

    private Stream<Obstacle> lacksCompanions(Attendance lead) {
        return lead.schedule().companionsOf(lead.section()).stream()
                .map(companion -> companion.companion().orElseThrow().choice())
                .distinct()
                .filter(choice -> attended.stream()
                        .filter(lead::sameCourse)
                        .noneMatch(attendance -> Together.choice(attendance).equals(Optional.of(choice))
                                && lead.schedule().leadsOf(attendance.section()).contains(lead.section())))
                .map(choice -> new Obstacle.LacksCompanion(lead, choice));
    }

    private Stream<Obstacle> lacksLead(Attendance companion) {
        List<Attendance> leads = attended.stream()
                .filter(companion::sameCourse)
                .filter(Attendance::leads)
                .toList();
        boolean has = leads.stream()
                .anyMatch(lead ->
                        companion.schedule().leadsOf(companion.section()).contains(lead.section()));
        return has ? Stream.of() : Stream.of(new Obstacle.LacksLead(companion, leads));
    }

    private Stream<Obstacle> corequisites(Optional<StudentRecord> record) {
        return attended.stream()
                .filter(Attendance::leads)
                .flatMap(attendance -> attendance.section().course().rules().corequisites().stream()
                        .filter(corequisite ->
                                week.attended(corequisite.course()).isEmpty())
                        .filter(corequisite -> record.filter(
                                        some -> some.passed().contains(corequisite.course()))
                                .isEmpty())
                        .map(corequisite -> new Obstacle.LacksCorequisite(attendance, corequisite)));
    }

    /** Of what a posted schedule leaves to people, and of what no record says anything, it is not known whether it is met. */
    private Stream<Obstacle> prerequisites(Optional<StudentRecord> record) {
        return attended.stream()
                .filter(Attendance::leads)
                .filter(attendance -> !week.goingOn().contains(attendance))
                .flatMap(attendance -> attendance.section().course().rules().prerequisites().stream()
                        .map(posted ->
                                new Obstacle.LacksPrerequisite(attendance, posted, verdict(attendance, posted, record)))
                        .filter(lacks -> !lacks.verdict().willDo()));
    }

    private Evaluation.Verdict verdict(
            Attendance attendance, PostedPrerequisite posted, Optional<StudentRecord> record) {
        List<CourseCode> planned = attended.stream()
                .filter(other -> other.term().code().equals(attendance.term().code()))
                .map(other -> other.section().course().code())
                .toList();
        return record.flatMap(known -> posted.expression()
                        .map(expression -> new Evaluation(known, planned, attendance.schedule())
                                .judge(attendance.section().course(), expression)
                                .verdict()))
                .orElse(Evaluation.Verdict.UNKNOWN);
    }

    private Stream<Obstacle> overLoads() {
        return Load.terms(week).stream()
                .filter(Load.OfTerm::isOverLoad)
                .map(term -> new Obstacle.OverLoad(
                        term.schedule().term(), term.credits(), term.overLoad().orElseThrow()));
    }

    private Stream<Obstacle> duringOwnExams() {
        return attended.stream()
                .flatMap(exam -> attended.stream()
                        .filter(held -> held.equals(exam) || held.sameCourse(exam))
                        .flatMap(held -> Together.classDuringExam(exam, held)
                                .map(date -> (Obstacle) new Obstacle.DuringOwnExam(exam, held, date))
                                .stream()));
    }

    private List<Obstacle> manyExams() {
        Map<LocalDate, List<Exam>> byDate = new TreeMap<>();
        for (Attendance attendance : attended) {
            for (Stay stay : attendance.stays()) {
                if (stay.exam()) {
                    stay.dates().stream()
                            .forEach(date -> byDate.computeIfAbsent(date, absent -> new ArrayList<>())
                                    .add(new Exam(attendance, stay)));
                }
            }
        }
        List<Obstacle> many = new ArrayList<>();
        byDate.forEach((date, exams) -> {
            if (exams.size() > 1) {
                many.add(new Obstacle.ManyExams(
                        date,
                        exams.stream()
                                .sorted(Comparator.comparing(
                                        exam -> exam.stay().time().start()))
                                .map(Exam::attendance)
                                .toList()));
            }
        });
        return many;
    }

    private record Exam(Attendance attendance, Stay stay) {}

    private Stream<Obstacle> elsewhere(Student student) {
        Stream<Obstacle> calendars = attended.stream()
                .filter(Attendance::leads)
                .filter(attendance -> !week.goingOn().contains(attendance))
                .filter(attendance ->
                        !attendance.term().code().equals(student.calendar().code()))
                .map(attendance -> new Obstacle.OtherCalendar(attendance, student.calendar()));
        Stream<Obstacle> campuses = attended.stream()
                .flatMap(attendance -> home(attendance, student.home())
                        .filter(home -> !attendance.section().campus().remote()
                                && !attendance.section().campus().equals(home))
                        .map(home -> new Obstacle.OtherCampus(attendance, home))
                        .stream());
        return Stream.concat(campuses, calendars);
    }

    /** The home campus, where the institution of the section has it. */
    private static Optional<Campus> home(Attendance attendance, Optional<CampusCode> home) {
        return attendance.schedule().campuses().stream()
                .filter(campus -> home.filter(campus.code()::equals).isPresent())
                .findFirst();
    }
}
