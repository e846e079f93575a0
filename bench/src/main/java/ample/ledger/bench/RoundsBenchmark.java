package ample.ledger.bench;

import ample.ledger.core.registrar.round.Ballot;
import ample.ledger.core.registrar.round.Contest;
import ample.ledger.core.registrar.round.Contest.Group;
import ample.ledger.core.registrar.round.Distribution;
import ample.ledger.core.schedule.WishRound.Rule;
import com.google.ortools.Loader;
import com.google.ortools.graph.MinCostFlow;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;
import org.jgrapht.Graph;
import org.jgrapht.alg.flow.mincost.CapacityScalingMinimumCostFlow;
import org.jgrapht.alg.flow.mincost.MinimumCostFlowProblem;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleDirectedWeightedGraph;

/**
 * Distributing the places of wish rounds beside flows of least cost of OR-Tools and JGraphT on the same network, one after the other in the same run. The others
 * do not draw lots, and are not asked by which class somebody has no place.
 */
final class RoundsBenchmark {

    private static final int[] STUDENTS = {1_000, 5_000, 20_000, 100_000};
    private static final int WISHES = 5;
    private static final int STUDENTS_OF_A_GROUP = 40;
    private static final double PLACES_FOR = 0.9;
    private static final int SHOTS = 7;

    /** JGraphT takes minutes beyond. */
    private static final int MOST_FOR_JGRAPHT = 5_000;

    private RoundsBenchmark() {}

    static void measure() {
        Loader.loadNativeLibraries();
        System.out.println(
                "| students | groups | most placed, ms | evenly, ms | by priority, ms | OR-Tools, ms | times OR-Tools’ | JGraphT, ms | placed |");
        System.out.println("|---|---|---|---|---|---|---|---|---|");
        for (int students : STUDENTS) {
            row(students);
        }
    }

    private static void row(int students) {
        Contest most = contest(students, Rule.MOST_PLACED, false);
        Contest even = contest(students, Rule.MOST_PLACED, true);
        Contest byPriority = contest(students, Rule.BY_PRIORITY, false);
        double[] ours = new double[SHOTS];
        double[] evenly = new double[SHOTS];
        double[] accepted = new double[SHOTS];
        double[] flow = new double[SHOTS];
        for (int shot = 0; shot < SHOTS; shot++) {
            ours[shot] = millis(() -> Distribution.of(most));
            flow[shot] = millis(() -> orTools(most));
            evenly[shot] = millis(() -> Distribution.of(even));
            accepted[shot] = millis(() -> Distribution.of(byPriority));
        }
        Distribution distribution = Distribution.of(most);
        if (cost(distribution) != orTools(most)) {
            throw new IllegalStateException("OR-Tools finds another cost");
        }
        String other =
                students > MOST_FOR_JGRAPHT ? "" : String.format(Locale.ENGLISH, "%,.0f", millis(() -> jgrapht(most)));
        System.out.printf(
                Locale.ENGLISH,
                "| %,d | %,d | %,.0f | %,.0f | %,.0f | %,.0f | %.2f | %s | %,d |%n",
                students,
                most.groups().size(),
                median(ours),
                median(evenly),
                median(accepted),
                median(flow),
                median(ours) / median(flow),
                other,
                distribution.placed());
    }

    /** Some groups are wished by many and some by few: of rank r by so many as 1 / √r. */
    private static Contest contest(int students, Rule rule, boolean even) {
        Random random = new Random(students);
        int groups = students / STUDENTS_OF_A_GROUP;
        double[] upTo = new double[groups];
        double sum = 0;
        for (int group = 0; group < groups; group++) {
            sum += 1 / Math.sqrt(group + 1.0);
            upTo[group] = sum;
        }
        double all = sum;
        List<Integer> draws =
                new ArrayList<>(IntStream.rangeClosed(1, students).boxed().toList());
        Collections.shuffle(draws, random);
        List<Ballot> ballots = new ArrayList<>();
        for (int student = 0; student < students; student++) {
            Set<Integer> wished = new LinkedHashSet<>();
            while (wished.size() < WISHES) {
                int at = Arrays.binarySearch(upTo, random.nextDouble() * all);
                wished.add(Math.min(groups - 1, at < 0 ? -at - 1 : at));
            }
            int priority = random.nextInt(3);
            IntUnaryOperator priorities = rule == Rule.MOST_PLACED ? group -> priority : group -> random.nextInt(3);
            ballots.add(new Ballot(
                    "student-" + student,
                    draws.get(student),
                    wished.stream()
                            .map(group -> new Ballot.Wish(group, priorities.applyAsInt(group)))
                            .toList()));
        }
        return new Contest(
                rule,
                even,
                IntStream.range(0, groups)
                        .mapToObj(group -> new Group("G" + group, (int) (PLACES_FOR * STUDENTS_OF_A_GROUP), 0))
                        .toList(),
                ballots);
    }

    private static double millis(Runnable task) {
        long begun = System.nanoTime();
        task.run();
        return (System.nanoTime() - begun) / 1e6;
    }

    private static double median(double[] values) {
        return Arrays.stream(values).sorted().toArray()[values.length / 2];
    }

    private static long costOfNone(Contest contest, Ballot ballot) {
        return (WISHES * (long) contest.ballots().size() + 1)
                * (3 - ballot.wishes().get(0).priority());
    }

    private static long cost(Distribution distribution) {
        Contest contest = distribution.contest();
        return IntStream.range(0, contest.ballots().size())
                .mapToLong(ballot -> distribution.place(ballot) < 0
                        ? costOfNone(contest, contest.ballots().get(ballot))
                        : distribution.place(ballot))
                .sum();
    }

    private static long orTools(Contest contest) {
        MinCostFlow flow = new MinCostFlow();
        int groups = contest.groups().size();
        for (int group = 0; group < groups; group++) {
            flow.addArcWithCapacityAndUnitCost(
                    1 + group, 0, contest.groups().get(group).places(), 0);
        }
        int student = groups + 1;
        for (Ballot ballot : contest.ballots()) {
            flow.setNodeSupply(student, 1);
            flow.addArcWithCapacityAndUnitCost(student, 0, 1, costOfNone(contest, ballot));
            for (int place = 0; place < ballot.wishes().size(); place++) {
                flow.addArcWithCapacityAndUnitCost(
                        student, 1 + ballot.wishes().get(place).group(), 1, place);
            }
            student++;
        }
        flow.setNodeSupply(0, -contest.ballots().size());
        flow.solve();
        return flow.getOptimalCost();
    }

    private static double jgrapht(Contest contest) {
        Graph<Integer, DefaultWeightedEdge> graph = new SimpleDirectedWeightedGraph<>(DefaultWeightedEdge.class);
        int groups = contest.groups().size();
        graph.addVertex(0);
        for (int group = 1; group <= groups; group++) {
            graph.addVertex(group);
            graph.setEdgeWeight(graph.addEdge(group, 0), 0);
        }
        int student = groups + 1;
        for (Ballot ballot : contest.ballots()) {
            graph.addVertex(student);
            graph.setEdgeWeight(graph.addEdge(student, 0), (double) costOfNone(contest, ballot));
            for (int place = 0; place < ballot.wishes().size(); place++) {
                graph.setEdgeWeight(
                        graph.addEdge(student, 1 + ballot.wishes().get(place).group()), place);
            }
            student++;
        }
        return new CapacityScalingMinimumCostFlow<Integer, DefaultWeightedEdge>()
                .getFlowCost(new MinimumCostFlowProblem.MinimumCostFlowProblemImpl<>(
                        graph, vertex -> vertex == 0 ? -contest.ballots().size() : vertex > groups ? 1 : 0, edge -> {
                            int from = graph.getEdgeSource(edge);
                            return from == 0 || from > groups
                                    ? 1
                                    : contest.groups().get(from - 1).places();
                        }));
    }
}
