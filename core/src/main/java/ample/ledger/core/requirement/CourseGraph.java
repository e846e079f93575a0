package ample.ledger.core.requirement;

import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Prerequisite;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.Function;

/**
 * Which courses lead to which: there is a step from each course that a prerequisite names to the course that has the
 * prerequisite. Courses that are named and not posted are part of it. It may hold circles, which a posting only warns of.
 */
public final class CourseGraph {

    private static final SortedSet<CourseCode> NONE = Collections.emptySortedSet();

    private final Map<CourseCode, Course> courses = new HashMap<>();
    private final Map<CourseCode, SortedSet<CourseCode>> needs = new HashMap<>();
    private final Map<CourseCode, SortedSet<CourseCode>> leads = new HashMap<>();

    /** Cost: linear in the courses and in what their prerequisites name. */
    public CourseGraph(Collection<Course> courses) {
        for (Course course : courses) {
            this.courses.put(course.code(), course);
            for (CourseCode needed : course.rules().neededCourses()) {
                if (!needed.equals(course.code())) {
                    needs.computeIfAbsent(course.code(), absent -> new TreeSet<>())
                            .add(needed);
                    leads.computeIfAbsent(needed, absent -> new TreeSet<>()).add(course.code());
                }
            }
        }
    }

    /**
     * One course that leads to another.
     *
     * @param required whether there is no way to the other without it
     */
    public record Step(CourseCode from, CourseCode to, boolean required) {}

    /**
     * What is to be seen from one course.
     *
     * @param before what it needs, and what that needs, and so on: the nearest first
     * @param after what it leads to, and what that leads to: the nearest first; none that is in {@code before}
     * @param steps among all of them, those left out that say only what a longer way says too
     * @param furtherBefore how many more there are before it
     * @param furtherAfter how many more there are after it
     */
    public record View(
            CourseCode course,
            List<CourseCode> before,
            List<CourseCode> after,
            List<Step> steps,
            int furtherBefore,
            int furtherAfter) {

        public View {
            before = List.copyOf(before);
            after = List.copyOf(after);
            steps = List.copyOf(steps);
        }
    }

    /** What its prerequisites name, by code; itself left out. */
    public SortedSet<CourseCode> needs(CourseCode course) {
        return Collections.unmodifiableSortedSet(needs.getOrDefault(course, NONE));
    }

    /** The courses whose prerequisites name it, by code; itself left out. */
    public SortedSet<CourseCode> leadsTo(CourseCode course) {
        return Collections.unmodifiableSortedSet(leads.getOrDefault(course, NONE));
    }

    /**
     * What leads to {@code course} and what it leads to. Cost: linear in what can be reached, and the square of the steps shown.
     *
     * @param most so many courses on each side; 1 or more
     */
    public View around(CourseCode course, int most) {
        List<CourseCode> allBefore = reached(course, this::needs);
        List<CourseCode> allAfter = reached(course, this::leadsTo);
        allAfter.removeAll(allBefore);
        List<CourseCode> before = allBefore.subList(0, Math.min(most, allBefore.size()));
        List<CourseCode> after = allAfter.subList(0, Math.min(most, allAfter.size()));
        List<Step> steps = new ArrayList<>(steps(with(before, course)));
        steps.addAll(steps(with(after, course)));
        return new View(
                course,
                before,
                after,
                reduced(steps),
                allBefore.size() - before.size(),
                allAfter.size() - after.size());
    }

    private static Set<CourseCode> with(List<CourseCode> some, CourseCode course) {
        Set<CourseCode> all = new LinkedHashSet<>(some);
        all.add(course);
        return all;
    }

    /** What can be reached, the nearest first and then by code; where it starts left out. */
    private static List<CourseCode> reached(CourseCode from, Function<CourseCode, SortedSet<CourseCode>> next) {
        Set<CourseCode> reached = new LinkedHashSet<>(Set.of(from));
        Deque<CourseCode> waiting = new ArrayDeque<>(reached);
        while (!waiting.isEmpty()) {
            for (CourseCode found : next.apply(waiting.remove())) {
                if (reached.add(found)) {
                    waiting.add(found);
                }
            }
        }
        reached.remove(from);
        return new ArrayList<>(reached);
    }

    private List<Step> steps(Set<CourseCode> among) {
        return among.stream()
                .flatMap(to -> needs(to).stream()
                        .filter(among::contains)
                        .map(from -> new Step(from, to, isRequired(from, to))))
                .toList();
    }

    private boolean isRequired(CourseCode needed, CourseCode by) {
        return Objects.requireNonNull(courses.get(by)).rules().prerequisites().stream()
                .flatMap(prerequisite -> prerequisite.expression().stream())
                .anyMatch(expression -> !canHoldWithout(needed, expression));
    }

    /** Whether it can hold when everything but this course is given. */
    private static boolean canHoldWithout(CourseCode course, Prerequisite expression) {
        if (expression instanceof Prerequisite.AtLeast choice) {
            return choice.parts().stream()
                            .filter(part -> canHoldWithout(course, part))
                            .count()
                    >= choice.count();
        }
        return !(expression instanceof Prerequisite.Passed passed)
                || !passed.course().equals(course);
    }

    /**
     * The transitive reduction (Aho, Garey and Ullman 1972): each step left out from whose beginning the others still lead
     * to its end. Without circles there is one such set; with circles, steps are tried in their order.
     */
    private static List<Step> reduced(List<Step> steps) {
        List<Step> kept = new ArrayList<>(steps);
        for (Step step : steps) {
            List<Step> others = new ArrayList<>(kept);
            others.remove(step);
            if (leads(step.from(), step.to(), others)) {
                kept = others;
            }
        }
        return kept;
    }

    private static boolean leads(CourseCode from, CourseCode to, List<Step> steps) {
        return reached(from, at -> {
                    SortedSet<CourseCode> next = new TreeSet<>();
                    steps.stream().filter(step -> step.from().equals(at)).forEach(step -> next.add(step.to()));
                    return next;
                })
                .contains(to);
    }
}
