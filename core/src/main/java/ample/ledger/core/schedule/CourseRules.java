package ample.ledger.core.schedule;

import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** The conditions on who may take a course, with what, and for credit beside what. */
public record CourseRules(
        List<PostedPrerequisite> prerequisites,
        List<Corequisite> corequisites,
        List<Equivalent> equivalents,
        List<Restriction> restrictions) {

    /** A course that anybody may take. */
    public static final CourseRules NONE = new CourseRules(List.of(), List.of(), List.of(), List.of());

    public CourseRules {
        prerequisites = List.copyOf(prerequisites);
        corequisites = List.copyOf(corequisites);
        equivalents = List.copyOf(equivalents);
        restrictions = List.copyOf(restrictions);
    }

    /** The courses that its prerequisites name, whether needed or one of several. */
    public SortedSet<CourseCode> neededCourses() {
        return prerequisites.stream()
                .flatMap(prerequisite -> prerequisite.expression().stream())
                .flatMap(Prerequisite::courses)
                .collect(Collectors.toCollection(TreeSet::new));
    }
}
