package ample.ledger.core.edition;

import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Schedule;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jgrapht.alg.connectivity.KosarajuStrongConnectivityInspector;
import org.jgrapht.graph.DefaultDirectedGraph;
import org.jgrapht.graph.DefaultEdge;

/** Prerequisites that name no course, and courses that need each other first. */
final class PrerequisiteChecks {

    private PrerequisiteChecks() {}

    static Stream<Warning> of(Schedule schedule) {
        Map<CourseCode, Set<CourseCode>> needs = needs(schedule);
        return Stream.concat(unknown(needs), circles(needs));
    }

    /** For each course those that its prerequisites name, whether needed or one of several. */
    private static Map<CourseCode, Set<CourseCode>> needs(Schedule schedule) {
        Map<CourseCode, Set<CourseCode>> needs = new LinkedHashMap<>();
        schedule.courses().forEach(course -> needs.put(course.code(), named(course)));
        return needs;
    }

    private static Set<CourseCode> named(Course course) {
        return course.prerequisites().stream()
                .flatMap(prerequisite -> prerequisite.expression().stream())
                .flatMap(Prerequisite::courses)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private static Stream<Warning> unknown(Map<CourseCode, Set<CourseCode>> needs) {
        return needs.entrySet().stream()
                .flatMap(entry -> entry.getValue().stream()
                        .filter(named -> !needs.containsKey(named))
                        .map(named -> new Warning(
                                Warning.Kind.PREREQUISITE_UNKNOWN,
                                entry.getKey().toString(),
                                "It needs " + named + ", which is not posted.")));
    }

    /** By the strongly connected parts of the graph (Sharir 1981, as JGraphT has it); linear in courses and needs. */
    private static Stream<Warning> circles(Map<CourseCode, Set<CourseCode>> needs) {
        var graph = new DefaultDirectedGraph<CourseCode, DefaultEdge>(DefaultEdge.class);
        needs.keySet().forEach(graph::addVertex);
        List<Warning> warnings = new ArrayList<>();
        needs.forEach((course, named) -> {
            for (CourseCode other : named) {
                if (other.equals(course)) {
                    warnings.add(circle(Set.of(course)));
                } else if (needs.containsKey(other)) {
                    graph.addEdge(course, other);
                }
            }
        });
        new KosarajuStrongConnectivityInspector<>(graph)
                .stronglyConnectedSets().stream()
                        .filter(part -> part.size() > 1)
                        .map(PrerequisiteChecks::circle)
                        .forEach(warnings::add);
        return warnings.stream();
    }

    private static Warning circle(Set<CourseCode> courses) {
        String names = new TreeSet<>(courses).stream().map(CourseCode::toString).collect(Collectors.joining(", "));
        return new Warning(
                Warning.Kind.PREREQUISITE_CIRCLE,
                names,
                courses.size() == 1 ? "It needs itself." : "Each of them is needed before the others.");
    }
}
