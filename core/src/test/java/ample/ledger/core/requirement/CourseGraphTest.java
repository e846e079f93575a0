package ample.ledger.core.requirement;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.requirement.CourseGraph.Step;
import ample.ledger.core.requirement.CourseGraph.View;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.jgrapht.Graph;
import org.jgrapht.Graphs;
import org.jgrapht.alg.TransitiveReduction;
import org.jgrapht.graph.AsSubgraph;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.EdgeReversedGraph;
import org.jgrapht.graph.SimpleDirectedGraph;
import org.jgrapht.traverse.BreadthFirstIterator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** By examples, by the demo's own courses, and on random courses against JGraphT. */
class CourseGraphTest {

    private static final int ANY = 1000;

    @Test
    void aCourseOfTheKernelBetweenWhatItNeedsAndWhatItLeadsTo() {
        View view = new CourseGraph(Schedules.kernelSchedule().courses()).around(course("TIDE 235"), ANY);

        assertThat(view.steps())
                .containsExactlyInAnyOrder(
                        new Step(course("TIDE 110"), course("TIDE 235"), true),
                        new Step(course("TIDE 235"), course("TIDE 390d"), true),
                        new Step(course("TIDE 235"), course("LOOM 355"), false));
    }

    /** All pages share one graph. */
    @Test
    void whoAsksCannotChangeIt() {
        CourseGraph graph = graph("TIDE 200: TIDE 100");

        for (String code : List.of("TIDE 100", "TIDE 200", "TIDE 999")) {
            assertThatThrownBy(() -> graph.needs(course(code)).add(course("TIDE 1")))
                    .isInstanceOf(UnsupportedOperationException.class);
            assertThatThrownBy(() -> graph.leadsTo(course(code)).clear())
                    .isInstanceOf(UnsupportedOperationException.class);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "TIDE 100, true",
        "TIDE 100 with C, true",
        "TIDE 100 and NUMB 100, true",
        "TIDE 100 or NUMB 100, false",
        "(TIDE 100 or NUMB 100) and TIDE 100, true",
        "'2 of (TIDE 100, NUMB 100, NUMB 200)', false",
        "'TIDE 100 or permission \"the department\"', false"
    })
    void isRequiredWhereThereIsNoWayWithoutIt(String expression, boolean required) {
        assertThat(graph("TIDE 200: " + expression)
                        .around(course("TIDE 100"), ANY)
                        .steps())
                .containsExactly(new Step(course("TIDE 100"), course("TIDE 200"), required));
    }

    @Test
    void leavesOutTheStepThatALongerWaySays() {
        View view =
                graph("TIDE 200: TIDE 100", "TIDE 300: TIDE 100 and TIDE 200").around(course("TIDE 300"), ANY);

        assertThat(view.steps())
                .extracting(step -> step.from() + " to " + step.to())
                .containsExactlyInAnyOrder("TIDE 100 to TIDE 200", "TIDE 200 to TIDE 300");
    }

    @Test
    void aCircleAndACourseThatNeedsItselfComeToAnEnd() {
        View view =
                graph("TIDE 100: TIDE 200", "TIDE 200: TIDE 100 or TIDE 200").around(course("TIDE 100"), ANY);

        assertThat(view.before()).containsExactly(course("TIDE 200"));
        assertThat(view.after()).isEmpty();
    }

    @Test
    void saysHowManyMoreThereAreThanItShows() {
        View view = graph("TIDE 201: TIDE 100", "TIDE 202: TIDE 100", "TIDE 203: TIDE 100")
                .around(course("TIDE 100"), 2);

        assertThat(view.after()).containsExactly(course("TIDE 201"), course("TIDE 202"));
        assertThat(view.furtherAfter()).isEqualTo(1);
    }

    @Property(tries = 500)
    void reachesAndReducesAsJGraphTDoes(@ForAll Random random) {
        int size = 2 + random.nextInt(14);
        Graph<CourseCode, DefaultEdge> outside = new SimpleDirectedGraph<>(DefaultEdge.class);
        List<String> needs = new ArrayList<>();
        IntStream.range(0, size).forEach(i -> outside.addVertex(numbered(i)));
        for (int i = 0; i < size; i++) {
            List<String> some = new ArrayList<>();
            for (int j = 0; j < i; j++) {
                if (random.nextInt(3) == 0) {
                    some.add(numbered(j).toString());
                    outside.addEdge(numbered(j), numbered(i));
                }
            }
            needs.add(numbered(i) + ":" + String.join(random.nextBoolean() ? " and " : " or ", some));
        }
        CourseCode middle = numbered(random.nextInt(size));

        View view = graph(needs.toArray(String[]::new)).around(middle, ANY);

        assertThat(Set.copyOf(view.before())).isEqualTo(reached(new EdgeReversedGraph<>(outside), middle));
        assertThat(Set.copyOf(view.after())).isEqualTo(reached(outside, middle));
        assertThat(view.steps().stream().map(step -> List.of(step.from(), step.to())))
                .containsExactlyInAnyOrderElementsOf(reduced(outside, view));
    }

    /** Before the course and after it, each reduced by itself: a way past it is no way to it. */
    private static Set<List<CourseCode>> reduced(Graph<CourseCode, DefaultEdge> graph, View view) {
        Set<List<CourseCode>> steps = new HashSet<>();
        for (List<CourseCode> side : List.of(view.before(), view.after())) {
            Set<CourseCode> among = new HashSet<>(side);
            among.add(view.course());
            Graph<CourseCode, DefaultEdge> copy = new SimpleDirectedGraph<>(DefaultEdge.class);
            Graphs.addGraph(copy, new AsSubgraph<>(graph, among));
            TransitiveReduction.INSTANCE.reduce(copy);
            copy.edgeSet().forEach(edge -> steps.add(List.of(copy.getEdgeSource(edge), copy.getEdgeTarget(edge))));
        }
        return steps;
    }

    private static Set<CourseCode> reached(Graph<CourseCode, DefaultEdge> graph, CourseCode from) {
        Set<CourseCode> reached = new HashSet<>();
        new BreadthFirstIterator<>(graph, from).forEachRemaining(reached::add);
        reached.remove(from);
        return reached;
    }

    /** @param courses each as "TIDE 200: TIDE 100 or NUMB 100", with nothing after the colon for no prerequisite */
    private static CourseGraph graph(String... courses) {
        List<Course> all = new ArrayList<>();
        for (String line : courses) {
            String[] parts = line.split(":");
            var section = section(parts[0].strip());
            all.add((parts.length == 1 ? section : section.needs(parts[1].strip()))
                    .build()
                    .course());
        }
        return new CourseGraph(all);
    }

    private static CourseCode numbered(int i) {
        return new CourseCode("TIDE", String.valueOf(100 + i));
    }

    private static CourseCode course(String code) {
        return new CourseCode(code.substring(0, 4), code.substring(5));
    }
}
