package ample.ledger.core.edition;

import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Schedule;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.jgrapht.alg.connectivity.KosarajuStrongConnectivityInspector;
import org.jgrapht.graph.DefaultDirectedGraph;
import org.jgrapht.graph.DefaultEdge;

/** Prerequisites that name no course, and courses that need each other first. */
final class PrerequisiteChecks {

    private PrerequisiteChecks() {}

    static Stream<Warning> of(Schedule schedule) {
        return Stream.concat(unknown(schedule), circles(schedule));
    }

    private static Stream<Warning> unknown(Schedule schedule) {
        return schedule.courses().stream()
                .flatMap(course -> course.rules().neededCourses().stream()
                        .filter(named -> schedule.course(named).isEmpty())
                        .map(named -> Warning.ofCourses(
                                Warning.Kind.PREREQUISITE_UNKNOWN,
                                "It needs %s, which is not posted."
                                        .formatted(course.form().written(named)),
                                List.of(course))));
    }

    /** By the strongly connected parts of the graph (Sharir 1981, as JGraphT has it); linear in courses and needs. */
    private static Stream<Warning> circles(Schedule schedule) {
        var graph = new DefaultDirectedGraph<Course, DefaultEdge>(DefaultEdge.class);
        schedule.courses().forEach(graph::addVertex);
        List<Warning> warnings = new ArrayList<>();
        for (Course course : schedule.courses()) {
            for (CourseCode named : course.rules().neededCourses()) {
                if (named.equals(course.code())) {
                    warnings.add(circle(Set.of(course)));
                } else {
                    schedule.course(named).ifPresent(other -> graph.addEdge(course, other));
                }
            }
        }
        new KosarajuStrongConnectivityInspector<>(graph)
                .stronglyConnectedSets().stream()
                        .filter(part -> part.size() > 1)
                        .map(PrerequisiteChecks::circle)
                        .forEach(warnings::add);
        return warnings.stream();
    }

    private static Warning circle(Set<Course> courses) {
        return Warning.ofCourses(
                Warning.Kind.PREREQUISITE_CIRCLE,
                courses.size() == 1 ? "It needs itself." : "Each of them is needed before the others.",
                courses.stream().sorted(Comparator.comparing(Course::code)).toList());
    }
}
