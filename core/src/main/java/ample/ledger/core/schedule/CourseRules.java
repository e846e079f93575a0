package ample.ledger.core.schedule;

import java.util.List;

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
}
