package ample.ledger.core.plan;

import ample.ledger.core.schedule.CourseCode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** The order in which a plan is given to the registrar, so that nothing is refused for what only comes after it. */
public final class SubmissionOrder {

    private final List<Attendance> all;
    private final Set<Attendance> ordered = new LinkedHashSet<>();

    private SubmissionOrder(List<Attendance> all) {
        this.all = all;
    }

    /**
     * The earlier term first; of a term a course after those that must be taken with it, a section before its companions, and otherwise as
     * planned. Courses that ask for each other stay as planned. What goes on from an earlier season is registered already.
     */
    public static List<Attendance> of(PlannedWeek week) {
        List<Attendance> all = new ArrayList<>(week.taken());
        all.addAll(week.waitedFor());
        all.sort(Comparator.comparing(
                (Attendance attendance) -> attendance.term().dates().first()));
        SubmissionOrder order = new SubmissionOrder(all);
        all.forEach(attendance -> order.add(attendance, Set.of()));
        return List.copyOf(order.ordered);
    }

    private void add(Attendance attendance, Set<CourseCode> begun) {
        CourseCode course = attendance.section().course().code();
        if (ordered.contains(attendance) || begun.contains(course)) {
            return;
        }
        Set<CourseCode> now = new LinkedHashSet<>(begun);
        now.add(course);
        attendance
                .section()
                .course()
                .rules()
                .corequisites()
                .forEach(corequisite -> all.stream()
                        .filter(other -> other.section().course().code().equals(corequisite.course()))
                        .forEach(other -> add(other, now)));
        all.stream().filter(attendance::sameCourse).filter(Attendance::leads).forEach(ordered::add);
        all.stream().filter(attendance::sameCourse).forEach(ordered::add);
    }
}
