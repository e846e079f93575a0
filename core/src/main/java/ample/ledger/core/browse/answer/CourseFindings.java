package ample.ledger.core.browse.answer;

import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * What fits of one course, in the order to read it: each section that stands alone or leads others, with its own
 * companions after it; then the companions that go with any; then those whose lead is left out.
 *
 * @param posted how many sections of the course are posted, fitting or not
 */
public record CourseFindings(Course course, int posted, List<Line> lines) {

    public CourseFindings {
        lines = List.copyOf(lines);
    }

    /** How a line stands to the lines around it. */
    public enum Role {
        /** Taken by itself, or the one that companions are taken with. */
        LEAD,
        /** A companion of the lead above it. */
        BOUND_COMPANION,
        /** A companion of any lead of the course. */
        OPEN_COMPANION,
        /** A companion that fits, of a lead that is not shown, since a condition on the section alone leaves it out. */
        LEAD_LEFT_OUT
    }

    /** One section that fits. */
    public record Line(Section section, Role role) {}

    /**
     * The courses of some sections of {@code schedule} in their order. Cost: linear in what fits and in the courses' own
     * sections.
     *
     * @param fitting all that fit of each of their courses, in the order of the schedule
     */
    public static List<CourseFindings> of(List<Section> fitting, Schedule schedule) {
        Map<Course, List<Section>> byCourse = fitting.stream()
                .collect(Collectors.groupingBy(Section::course, LinkedHashMap::new, Collectors.toList()));
        return byCourse.entrySet().stream()
                .map(entry -> new CourseFindings(
                        entry.getKey(),
                        schedule.sectionsOf(entry.getKey().code()).size(),
                        lines(entry.getValue())))
                .toList();
    }

    private static List<Line> lines(List<Section> fitting) {
        List<Line> lines = new ArrayList<>();
        for (Section lead : fitting) {
            if (lead.companion().isEmpty()) {
                lines.add(new Line(lead, Role.LEAD));
                fitting.stream()
                        .filter(section -> isBoundTo(section, lead))
                        .forEach(section -> lines.add(new Line(section, Role.BOUND_COMPANION)));
            }
        }
        boolean anyLead = !lines.isEmpty();
        fitting.stream()
                .filter(section -> section.companion().isPresent()
                        && lines.stream().noneMatch(line -> line.section().equals(section)))
                .map(section -> new Line(
                        section,
                        anyLead && section.companion().get().boundTo().isEmpty()
                                ? Role.OPEN_COMPANION
                                : Role.LEAD_LEFT_OUT))
                .sorted(Comparator.comparing(Line::role))
                .forEach(lines::add);
        return lines;
    }

    private static boolean isBoundTo(Section section, Section lead) {
        return section.companion()
                .flatMap(companion -> companion.boundTo())
                .filter(lead.entry()::equals)
                .isPresent();
    }
}
