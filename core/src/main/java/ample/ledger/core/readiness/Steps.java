package ample.ledger.core.readiness;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.SubmissionOrder;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Request;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToIntFunction;

/**
 * What a plan asks of the registrar, beside what its student has there already, in the order that works.
 *
 * @param steps one for the sections of each course
 * @param why what decided the order
 */
public record Steps(List<Step> steps, List<SubmissionOrder.Why> why) {

    public Steps {
        steps = List.copyOf(steps);
        why = List.copyOf(why);
    }

    /**
     * One line of a submission.
     *
     * @param sections what the plan holds of a course, the leading section first
     * @param request empty where the student has it, or waits for it, already
     */
    public record Step(List<Attendance> sections, Optional<Request> request) {

        public Step {
            sections = List.copyOf(sections);
        }

        /** The section that names it. */
        public Attendance lead() {
            return sections.get(0);
        }
    }

    /**
     * Of what is taken and waited for in {@code week}. What the student has at the registrar of other courses stays as it is.
     *
     * @param seats how many seats of a section the student can have
     */
    public static Steps of(PlannedWeek week, Registration has, ToIntFunction<Attendance> seats) {
        List<Attendance> all = new ArrayList<>(week.taken());
        all.addAll(week.waitedFor());
        List<Attendance> registered = has.registered().stream()
                .flatMap(entry -> entry.in(week.posted()).stream())
                .toList();
        SubmissionOrder order = SubmissionOrder.of(
                all,
                group -> replaced(group, registered),
                seats,
                group -> request(group, week, registered, has).isPresent());
        return new Steps(
                order.groups().stream()
                        .map(group -> new Step(group, request(group, week, registered, has)))
                        .toList(),
                order.why());
    }

    /** What the student has of the courses of a group and the group has not. */
    private static List<Attendance> replaced(List<Attendance> group, List<Attendance> registered) {
        return registered.stream()
                .filter(one -> group.stream().anyMatch(one::sameCourse))
                .filter(one -> !group.contains(one))
                .toList();
    }

    private static Optional<Request> request(
            List<Attendance> group, PlannedWeek week, List<Attendance> registered, Registration has) {
        List<Attendance> missing =
                group.stream().filter(one -> !registered.contains(one)).toList();
        if (missing.isEmpty()) {
            return Optional.empty();
        }
        List<Entry> set = Entry.of(group);
        List<Attendance> out = replaced(group, registered);
        boolean offered =
                missing.stream().anyMatch(one -> has.offerOf(Entry.of(one)).isPresent());
        if (!offered && group.stream().anyMatch(week.waitedFor()::contains)) {
            return missing.stream()
                            .anyMatch(one -> has.waitingFor(Entry.of(one)).isPresent())
                    ? Optional.empty()
                    : Optional.of(Request.wait(set));
        }
        if (!out.isEmpty()) {
            return Optional.of(Request.swap(Entry.of(out), set));
        }
        return Optional.of(offered ? Request.takeUp(set) : Request.register(Entry.of(missing)));
    }

    /** The requests, in their order. */
    public List<Request> requests() {
        return steps.stream().flatMap(step -> step.request().stream()).toList();
    }

    /** The same with the steps in the order of {@code leads}, as far as it names them. */
    public Steps inOrder(List<Entry> leads) {
        List<Step> ordered = new ArrayList<>(steps);
        ordered.sort(Comparator.comparingInt(step -> {
            int at = leads.indexOf(Entry.of(step.lead()));
            return at < 0 ? leads.size() : at;
        }));
        return ordered.equals(steps) ? this : new Steps(ordered, List.of());
    }
}
