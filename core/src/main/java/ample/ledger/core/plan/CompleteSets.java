package ample.ledger.core.plan;

import ample.ledger.core.calendar.Overlaps;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Every complete, clash-free set of a schedule: a section that is no companion, with one companion of each choice that it asks
 * for. No two of them are ever held at the same time. A section without companions is a set by itself.
 *
 * <p>Sections are named by their position in {@link Schedule#sections()}.
 */
public final class CompleteSets {

    /** More sets than these of one course are not looked at: the first of them are. */
    public static final int MOST_OF_A_COURSE = 20_000;

    private final List<Section> sections;
    private final Overlaps overlaps;
    private final List<int[]> sets = new ArrayList<>();
    private int ofThisCourse;

    private CompleteSets(List<Section> sections, Schedule schedule) {
        this.sections = sections;
        this.overlaps = new Overlaps(schedule.term().calendar());
    }

    /**
     * In the order of the sections that lead them; the leading section stands first in its set. Cost: for each course the
     * number of its sets, found choice by choice, so that a clash ends a set early.
     */
    public static List<int[]> of(Schedule schedule) {
        CompleteSets found = new CompleteSets(schedule.sections(), schedule);
        int from = 0;
        while (from < found.sections.size()) {
            int to = from + 1;
            while (to < found.sections.size() && found.sameCourse(from, to)) {
                to++;
            }
            found.course(from, to);
            from = to;
        }
        return found.sets;
    }

    /** Those of one course, the leading section of each first. */
    public static List<List<Section>> of(Schedule schedule, CourseCode course) {
        List<Section> sections = schedule.sectionsOf(course);
        CompleteSets found = new CompleteSets(sections, schedule);
        found.course(0, sections.size());
        return found.sets.stream()
                .map(set -> Arrays.stream(set).mapToObj(sections::get).toList())
                .toList();
    }

    private boolean sameCourse(int one, int other) {
        return sections.get(one)
                .course()
                .code()
                .equals(sections.get(other).course().code());
    }

    private void course(int from, int to) {
        ofThisCourse = 0;
        for (int lead = from; lead < to; lead++) {
            if (sections.get(lead).companion().isEmpty()) {
                complete(List.of(lead), List.copyOf(choices(lead, from, to)));
            }
        }
    }

    /** The companions that go with {@code lead}, by what they are one of. */
    private Collection<List<Integer>> choices(int lead, int from, int to) {
        EntryNumber entry = sections.get(lead).entry();
        Map<String, List<Integer>> choices = new LinkedHashMap<>();
        for (int other = from; other < to; other++) {
            int position = other;
            sections.get(other)
                    .companion()
                    .filter(companion -> companion.boundTo().map(entry::equals).orElse(true))
                    .ifPresent(companion -> choices.computeIfAbsent(companion.choice(), absent -> new ArrayList<>())
                            .add(position));
        }
        return choices.values();
    }

    private void complete(List<Integer> begun, List<List<Integer>> choices) {
        if (ofThisCourse == MOST_OF_A_COURSE) {
            return;
        }
        if (choices.isEmpty()) {
            ofThisCourse++;
            sets.add(begun.stream().mapToInt(Integer::intValue).toArray());
            return;
        }
        for (int companion : choices.get(0)) {
            if (begun.stream().noneMatch(member -> clash(member, companion))) {
                List<Integer> more = new ArrayList<>(begun);
                more.add(companion);
                complete(more, choices.subList(1, choices.size()));
            }
        }
    }

    private boolean clash(int one, int other) {
        return !overlaps.dates(sections.get(one).timings(), sections.get(other).timings())
                .isEmpty();
    }
}
