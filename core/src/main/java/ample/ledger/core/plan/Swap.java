package ample.ledger.core.plan;

import ample.ledger.core.schedule.Corequisite;
import ample.ledger.core.schedule.Schedule;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Sections of a plan for others, so that the plan is possible where they are: nothing that comes in is held at the time of what
 * stays, and the ways can be made.
 *
 * @param out what leaves; empty where something is only added
 * @param in what comes; empty where something is only left out
 */
public record Swap(List<Attendance> out, List<Attendance> in) {

    private static final Comparator<Swap> FEWEST = Comparator.comparingInt(swap -> swap.in.size() + swap.out.size());

    public Swap {
        out = List.copyOf(out);
        in = List.copyOf(in);
    }

    /**
     * Every other complete set of the course of {@code member} that fits the rest of the week: those that change the
     * fewest sections first. Cost: the sets of the course times the engagements of the week.
     */
    public static List<Swap> of(Attendance member, PlannedWeek week) {
        Choices choices = choices(member, week);
        return choices.sets().stream()
                .filter(choice -> choice.inTheWay().isEmpty())
                .map(choice -> of(choices.now(), choice.set()))
                .filter(swap -> !swap.in.isEmpty())
                .sorted(FEWEST)
                .toList();
    }

    /** What is attended of the course of {@code member}, and can still be changed. */
    private static List<Attendance> members(Attendance member, PlannedWeek week) {
        return week.attended().stream()
                .filter(member::sameCourse)
                .filter(attendance -> !week.goingOn().contains(attendance))
                .toList();
    }

    private static Stream<List<Attendance>> sets(Attendance member, List<Attendance> now, PlannedWeek week) {
        return week.posted().setsOf(member.section().course().code(), member.schedule()).stream()
                .filter(set -> !now.containsAll(set) || set.size() != now.size());
    }

    private static Swap of(List<Attendance> now, List<Attendance> set) {
        return new Swap(
                now.stream().filter(attendance -> !set.contains(attendance)).toList(),
                set.stream().filter(attendance -> !now.contains(attendance)).toList());
    }

    /**
     * Other complete sets of the course of {@code member} that are rid of its trouble with {@code other}, and bring none that is
     * not there already: those that change the fewest sections first.
     */
    static List<Swap> ridOf(Attendance member, Engagement other, PlannedWeek week) {
        Choices choices = choices(member, week);
        return choices.sets().stream()
                .filter(choice -> !choice.inTheWay().contains(other)
                        && choices.inTheWayNow().containsAll(choice.inTheWay()))
                .map(choice -> of(choices.now(), choice.set()))
                .filter(swap -> !swap.in.isEmpty())
                .sorted(FEWEST)
                .toList();
    }

    /**
     * What can be taken of a course.
     *
     * @param now what is attended of it, and can still be changed
     * @param inTheWayNow what that clashes with, or cannot be reached from
     * @param sets its other complete sets
     */
    record Choices(List<Attendance> now, List<Engagement> inTheWayNow, List<Choice> sets) {}

    /** @param inTheWay what stays in the week and clashes with the set, or cannot be reached from it */
    record Choice(List<Attendance> set, List<Engagement> inTheWay) {}

    /** Worked out once for each course of a week: most obstacles ask for the same. */
    private static Choices choices(Attendance member, PlannedWeek week) {
        return week.choices()
                .computeIfAbsent(
                        member.term().code() + " " + member.section().course().code(), absent -> {
                            List<Attendance> now = members(member, week);
                            List<Engagement> rest = without(week, now);
                            return new Choices(
                                    now,
                                    inTheWay(now, rest, week),
                                    sets(member, now, week)
                                            .map(set -> new Choice(set, inTheWay(set, rest, week)))
                                            .toList());
                        });
    }

    private static List<Engagement> inTheWay(List<Attendance> set, List<Engagement> rest, PlannedWeek week) {
        return rest.stream().filter(one -> !week.fits(set, List.of(one))).toList();
    }

    /** What can be added so that {@code lead} has a companion of this choice. */
    static List<Swap> companions(Attendance lead, String choice, PlannedWeek week) {
        return lead.schedule().companionsOf(lead.section()).stream()
                .filter(section -> !section.cancelled())
                .filter(section -> section.companion().orElseThrow().choice().equals(choice))
                .map(section -> week.posted().attendance(section, lead.schedule()))
                .filter(companion -> week.fits(List.of(companion), week.engagements()))
                .map(companion -> new Swap(List.of(), List.of(companion)))
                .toList();
    }

    /** What can be added so that the course is taken alongside: its complete sets. */
    static List<Swap> corequisites(Attendance asking, Corequisite corequisite, PlannedWeek week) {
        Schedule schedule = asking.schedule();
        return week.posted().setsOf(corequisite.course(), schedule).stream()
                .filter(set -> week.fits(set, week.engagements()))
                .map(set -> new Swap(List.of(), set))
                .toList();
    }

    /** The engagements of the week without some. */
    private static List<Engagement> without(PlannedWeek week, List<Attendance> some) {
        List<Engagement> rest = new ArrayList<>(week.engagements());
        rest.removeAll(some);
        return rest;
    }

    /** Swaps of either of two engagements that are rid of the other, each once; a busy time cannot be swapped. */
    static List<Swap> ridOfEachOther(Engagement one, Engagement other, PlannedWeek week) {
        Set<Swap> swaps = new LinkedHashSet<>();
        if (one instanceof Attendance attendance) {
            swaps.addAll(ridOf(attendance, other, week));
        }
        if (other instanceof Attendance attendance) {
            swaps.addAll(ridOf(attendance, one, week));
        }
        return List.copyOf(swaps);
    }
}
