package ample.ledger.core.plan;

import ample.ledger.core.reading.BindingDate;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.reading.StatusReading.Reason;
import ample.ledger.core.schedule.BindingRule;
import ample.ledger.core.schedule.Opening;
import ample.ledger.core.schedule.Schedule;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Stream;

/** A date that whoever follows a plan must not miss. */
public sealed interface PlanDate {

    /** On the wall clock of the institution; midnight for a whole day. */
    LocalDateTime at();

    /** Whose clock it is. */
    Schedule schedule();

    /** Registration opens: for the student, or, where it is not known which opening is theirs, for some. */
    record Opens(Opening opening, Schedule schedule) implements PlanDate {
        @Override
        public LocalDateTime at() {
            return opening.from();
        }
    }

    /**
     * A deadline.
     *
     * @param sections those that it binds; companions only where they run at other dates than what they go with
     */
    record Binds(BindingRule rule, LocalDate date, List<Attendance> sections) implements PlanDate {

        public Binds {
            sections = List.copyOf(sections);
        }

        @Override
        public LocalDateTime at() {
            return date.atStartOfDay();
        }

        @Override
        public Schedule schedule() {
            return sections.get(0).schedule();
        }
    }

    /**
     * Until then a seat is kept for the student.
     *
     * @param at on the wall clock of the institution
     */
    record SeatKept(Attendance attendance, LocalDateTime at) implements PlanDate {
        @Override
        public Schedule schedule() {
            return attendance.schedule();
        }
    }

    /** An exam. */
    record Sits(Attendance attendance, Stay exam, LocalDate date) implements PlanDate {
        @Override
        public LocalDateTime at() {
            return date.atTime(exam.time().start());
        }

        @Override
        public Schedule schedule() {
            return attendance.schedule();
        }
    }

    /**
     * Those of {@code week}, in order; of what goes on from an earlier term only the exams of this season.
     *
     * @param reading how a section stands for the student now: an opening is named until it has come
     */
    static List<PlanDate> of(PlannedWeek week, Function<Attendance, StatusReading> reading) {
        List<Attendance> own = Stream.concat(week.taken().stream(), week.waitedFor().stream())
                .filter(attendance -> !attendance.section().cancelled())
                .toList();
        Stream<PlanDate> openings = week.taken().stream()
                .flatMap(attendance -> reading.apply(attendance).reasons().stream()
                        .flatMap(reason -> opening(reason).map(opening -> new Opens(opening, attendance.schedule()))))
                .distinct()
                .map(opens -> opens);
        return Stream.of(openings, binding(own), exams(week))
                .flatMap(some -> some)
                .sorted(Comparator.comparing(PlanDate::at))
                .toList();
    }

    private static Stream<Opening> opening(Reason reason) {
        if (reason instanceof Reason.OpensLater later) {
            return Stream.of(later.opening());
        }
        return reason instanceof Reason.OpensLaterForSome some ? Stream.of(some.opening()) : Stream.empty();
    }

    private static Stream<PlanDate> binding(List<Attendance> attended) {
        record Same(Schedule schedule, BindingRule.Purpose purpose, String name, LocalDate date) {}
        Map<Same, List<Attendance>> sections = new LinkedHashMap<>();
        Map<Same, BindingRule> rules = new LinkedHashMap<>();
        for (Attendance attendance : attended) {
            for (BindingDate date : BindingDate.of(
                    attendance.section().span(), attendance.schedule().lists().bindingRules())) {
                Same same = new Same(
                        attendance.schedule(),
                        date.rule().purpose(),
                        date.rule().name(),
                        date.date());
                rules.putIfAbsent(same, date.rule());
                List<Attendance> bound = sections.computeIfAbsent(same, absent -> new ArrayList<>());
                if (bound.stream().noneMatch(attendance::sameCourse)) {
                    bound.add(attendance);
                }
            }
        }
        return sections.entrySet().stream()
                .map(entry -> new Binds(
                        Objects.requireNonNull(rules.get(entry.getKey())),
                        entry.getKey().date(),
                        entry.getValue()));
    }

    private static Stream<PlanDate> exams(PlannedWeek week) {
        return week.attended().stream()
                .filter(attendance -> !attendance.section().cancelled())
                .flatMap(attendance -> attendance.stays().stream()
                        .filter(Stay::exam)
                        .flatMap(stay -> stay.dates().stream()
                                .filter(date -> !week.goingOn().contains(attendance)
                                        || week.posted()
                                                .dates(week.plan().season())
                                                .contains(date))
                                .map(date -> new Sits(attendance, stay, date))));
    }
}
