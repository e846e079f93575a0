package ample.ledger.core.plan;

import ample.ledger.core.schedule.Corequisite;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Term;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import org.jgrapht.alg.connectivity.KosarajuStrongConnectivityInspector;
import org.jgrapht.graph.DefaultDirectedGraph;
import org.jgrapht.graph.DefaultEdge;

/**
 * The order in which a plan is given to the registrar, so that nothing is refused for what only comes after it.
 *
 * @param groups what is asked for at once: the sections of one course, the leading one first; courses that ask for each other are one
 * @param why what decided it; none where nothing did
 */
public record SubmissionOrder(List<List<Attendance>> groups, List<Why> why) {

    public SubmissionOrder {
        groups = List.copyOf(groups);
        why = List.copyOf(why);
    }

    /** Something that decided the order. */
    public sealed interface Why {

        /** What is asked for in an earlier term, before what is in a later one. */
        record EarlierTerm(Term earlier, Term later) implements Why {}

        /** A course that must be taken with another, after it. */
        record TakenWith(Attendance first, Attendance then) implements Why {}

        /** A course that another may be taken beside, before that. */
        record Alongside(Attendance first, Attendance then) implements Why {}

        /** What makes room for another. */
        record MakesRoom(Attendance first, Attendance then) implements Why {}

        /** A section and what goes with it, at once. */
        record OneSet(Attendance lead) implements Why {}

        /** What has the fewest seats, before the rest. */
        record FewestSeats() implements Why {}
    }

    /** Of all that is to be taken and waited for, otherwise as planned. What goes on from an earlier season is registered already. */
    public static List<Attendance> of(PlannedWeek week) {
        List<Attendance> all = new ArrayList<>(week.taken());
        all.addAll(week.waitedFor());
        return of(all, group -> List.of(), one -> 0, group -> true).groups().stream()
                .flatMap(List::stream)
                .toList();
    }

    /**
     * The earlier term first; of a term a course after those that must or may be taken with it, and after what makes room for it; of the rest what
     * has the fewest seats, and otherwise as planned. Cost: the pairs of courses.
     *
     * @param all in the order of the plan
     * @param givenUp what goes when the sections of one course are had: those that they take the place of
     * @param seats how many seats of a section can be had
     * @param asked whether a group is asked for: what decided the order of the others is of no interest
     */
    public static SubmissionOrder of(
            Collection<Attendance> all,
            Function<List<Attendance>, List<Attendance>> givenUp,
            ToIntFunction<Attendance> seats,
            Predicate<List<Attendance>> asked) {
        List<List<Attendance>> groups = joined(ofCourses(all));
        List<Before> before = new ArrayList<>();
        for (List<Attendance> then : groups) {
            for (List<Attendance> first : groups) {
                if (first != then) {
                    before(first, then, givenUp, before);
                }
            }
        }
        Set<List<Attendance>> ordered = new LinkedHashSet<>();
        groups.stream()
                .sorted(Comparator.<List<Attendance>, LocalDate>comparing(
                                group -> group.get(0).term().dates().first())
                        .thenComparing(group -> fewest(group, seats)))
                .forEach(group -> add(group, before, Set.of(), ordered));
        return new SubmissionOrder(
                List.copyOf(ordered), why(ordered.stream().filter(asked).toList(), before, seats));
    }

    private static int fewest(List<Attendance> group, ToIntFunction<Attendance> seats) {
        return group.stream().mapToInt(seats).min().orElse(0);
    }

    /** After what must go before it; of two that each wait for the other, as of two that make room for each other, any is as good. */
    private static void add(
            List<Attendance> group, List<Before> before, Set<List<Attendance>> begun, Set<List<Attendance>> ordered) {
        if (begun.contains(group)) {
            return;
        }
        Set<List<Attendance>> now = new HashSet<>(begun);
        now.add(group);
        before.stream()
                .filter(one -> one.then.equals(group) && !ordered.contains(one.first))
                .forEach(one -> add(one.first, before, now, ordered));
        ordered.add(group);
    }

    /** One group before another. */
    private record Before(List<Attendance> first, List<Attendance> then, Why why) {}

    private static List<List<Attendance>> ofCourses(Collection<Attendance> all) {
        List<List<Attendance>> groups = new ArrayList<>();
        Set<Attendance> done = new LinkedHashSet<>();
        for (Attendance one : all) {
            if (!done.contains(one)) {
                List<Attendance> group = all.stream()
                        .filter(one::sameCourse)
                        .sorted(Comparator.comparing(member -> !member.leads()))
                        .toList();
                groups.add(group);
                done.addAll(group);
            }
        }
        return groups;
    }

    /** With those that ask for each other as one. */
    private static List<List<Attendance>> joined(List<List<Attendance>> groups) {
        DefaultDirectedGraph<List<Attendance>, DefaultEdge> asks = new DefaultDirectedGraph<>(DefaultEdge.class);
        groups.forEach(asks::addVertex);
        for (List<Attendance> group : groups) {
            for (List<Attendance> other : groups) {
                if (group != other && asksFor(group, other)) {
                    asks.addEdge(group, other);
                }
            }
        }
        List<Set<List<Attendance>>> together = new KosarajuStrongConnectivityInspector<>(asks).stronglyConnectedSets();
        List<List<Attendance>> joined = new ArrayList<>();
        for (List<Attendance> group : groups) {
            Set<List<Attendance>> own = together.stream()
                    .filter(set -> set.contains(group))
                    .findFirst()
                    .orElseThrow();
            List<List<Attendance>> members =
                    groups.stream().filter(own::contains).toList();
            if (members.get(0) == group) {
                joined.add(members.stream().flatMap(List::stream).toList());
            }
        }
        return joined;
    }

    private static boolean asksFor(List<Attendance> group, List<Attendance> other) {
        return group.stream()
                .flatMap(one -> one.section().course().rules().corequisites().stream())
                .map(Corequisite::course)
                .anyMatch(course -> has(other, course));
    }

    private static boolean has(List<Attendance> group, CourseCode course) {
        return group.stream().anyMatch(one -> one.section().course().code().equals(course));
    }

    private static void before(
            List<Attendance> first,
            List<Attendance> then,
            Function<List<Attendance>, List<Attendance>> givenUp,
            List<Before> before) {
        Attendance one = first.get(0);
        Attendance other = then.get(0);
        if (asksFor(then, first)) {
            before.add(new Before(first, then, new Why.TakenWith(one, other)));
        } else if (one.term().code().equals(other.term().code()) && !needs(first, then) && needs(then, first)) {
            before.add(new Before(first, then, new Why.Alongside(one, other)));
        }
        boolean room = givenUp.apply(first).stream()
                .anyMatch(out -> then.stream()
                        .anyMatch(in -> !Together.clashes(out, in).isEmpty()
                                || Together.ruledOut(out, in).isPresent()));
        if (room) {
            before.add(new Before(first, then, new Why.MakesRoom(one, other)));
        }
    }

    private static boolean needs(List<Attendance> group, List<Attendance> other) {
        return group.stream()
                .flatMap(one -> one.section().course().rules().neededCourses().stream())
                .anyMatch(course -> has(other, course));
    }

    private static List<Why> why(List<List<Attendance>> ordered, List<Before> before, ToIntFunction<Attendance> seats) {
        List<Why> why = new ArrayList<>();
        for (int i = 1; i < ordered.size(); i++) {
            Term earlier = ordered.get(i - 1).get(0).term();
            Term later = ordered.get(i).get(0).term();
            if (earlier.dates().first().isBefore(later.dates().first())) {
                why.add(new Why.EarlierTerm(earlier, later));
            }
        }
        before.stream()
                .filter(one -> ordered.contains(one.first))
                .filter(one -> ordered.indexOf(one.first) < ordered.indexOf(one.then))
                .map(Before::why)
                .forEach(why::add);
        ordered.stream()
                .filter(group -> group.size() > 1)
                .limit(1)
                .map(group -> new Why.OneSet(group.get(0)))
                .forEach(why::add);
        boolean seatsDecide = ordered.stream()
                        .mapToInt(group -> fewest(group, seats))
                        .distinct()
                        .count()
                > 1;
        if (seatsDecide) {
            why.add(new Why.FewestSeats());
        }
        return why;
    }
}
