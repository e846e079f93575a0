package ample.ledger.core.registrar.round;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.registrar.round.Contest.Group;
import ample.ledger.core.schedule.WishRound.Rule;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.jgrapht.Graph;
import org.jgrapht.alg.matching.HopcroftKarpMaximumCardinalityBipartiteMatching;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleGraph;
import org.junit.jupiter.api.Test;

class MostPlacedTest {

    private static int[] got(Contest contest) {
        return Distribution.of(contest).got().stream().mapToInt(each -> each).toArray();
    }

    /** By going through all of them: the rule in its whole order, down to the lottery. */
    @Property(tries = 1500)
    void isTheFirstOfAllDistributionsInTheOrderOfTheRule(@ForAll long seed) {
        Random random = new Random(seed);
        Contest contest = Contests.random(
                random, Rule.MOST_PLACED, random.nextBoolean(), 1 + random.nextInt(5), 1 + random.nextInt(4), 3, 2);
        int[] got = got(contest);
        List<int[]> best = new ArrayList<>();
        Contests.all(contest, each -> {
            int better = best.isEmpty()
                    ? -1
                    : Arrays.compare(Contests.order(contest, each), Contests.order(contest, best.get(0)));
            if (better < 0) {
                best.clear();
                best.add(each);
            }
        });
        assertThat(got).isEqualTo(best.get(0));
    }

    /** Against Hopcroft and Karp's matching, as JGraphT has it. */
    @Property(tries = 2000)
    void placesAsManyAsAMaximumMatching(@ForAll long seed) {
        Random random = new Random(seed);
        Contest contest = Contests.random(
                random, Rule.MOST_PLACED, random.nextBoolean(), random.nextInt(80), 1 + random.nextInt(12), 3, 9);
        Graph<Object, DefaultEdge> graph = new SimpleGraph<>(DefaultEdge.class);
        Set<Object> students = new HashSet<>();
        Set<Object> places = new HashSet<>();
        for (Ballot ballot : contest.ballots()) {
            graph.addVertex(ballot);
            students.add(ballot);
            for (Ballot.Wish wish : ballot.wishes()) {
                for (int place = 0; place < contest.groups().get(wish.group()).places(); place++) {
                    List<Integer> seat = List.of(wish.group(), place);
                    graph.addVertex(seat);
                    places.add(seat);
                    graph.addEdge(ballot, seat);
                }
            }
        }
        int most = new HopcroftKarpMaximumCardinalityBipartiteMatching<>(graph, students, places)
                .getMatching()
                .getEdges()
                .size();
        assertThat(Distribution.of(contest).placed()).isEqualTo(most);
    }

    @Property(tries = 200)
    void morePlacesNeverPlaceFewer(@ForAll long seed) {
        Random random = new Random(seed);
        Contest contest = Contests.random(random, Rule.MOST_PLACED, false, 40, 8, 3, 6);
        int group = random.nextInt(8);
        Contest more = contest.withPlaces(group, contest.groups().get(group).places() + 1 + random.nextInt(3));
        assertThat(Distribution.of(more).placed())
                .isGreaterThanOrEqualTo(Distribution.of(contest).placed());
    }

    /** In which order ballots come in, and what students are called, changes nothing: only draws do. */
    @Property(tries = 200)
    void namesAndTheOrderOfBallotsChangeNothing(@ForAll long seed) {
        Random random = new Random(seed);
        Contest contest = Contests.random(random, Rule.values()[random.nextInt(2)], false, 40, 6, 3, 6);
        List<Integer> order = new ArrayList<>(IntStream.range(0, 40).boxed().toList());
        Collections.shuffle(order, random);
        Contest renamed = contest.withBallots(order.stream()
                .map(contest.ballots()::get)
                .map(ballot -> new Ballot("x" + ballot.student(), ballot.draw(), ballot.wishes()))
                .toList());
        int[] got = got(contest);
        int[] then = got(renamed);
        assertThat(then).isEqualTo(order.stream().mapToInt(each -> got[each]).toArray());
    }

    @Test
    void aGroupUnderItsLeastSizeIsClosedAndItsStudentsAreDistributedAgain() {
        List<Ballot> ballots = new ArrayList<>();
        // Three wish the morning first, and then the evening; two the evening; one the morning alone.
        for (int i = 1; i <= 3; i++) {
            ballots.add(ballot(i, 0, 1));
        }
        ballots.add(ballot(4, 1));
        ballots.add(ballot(5, 1));
        ballots.add(ballot(6, 0));
        Contest contest = new Contest(
                Rule.MOST_PLACED, false, List.of(new Group("morning", 9, 5), new Group("evening", 5, 2)), ballots);

        Distribution distribution = Distribution.of(contest);

        assertThat(distribution.closed()).containsExactly(new Distribution.Closed(0, 4));
        assertThat(distribution.got()).containsExactly(1, 1, 1, 1, 1, -1);
        assertThat(Explanation.of(distribution, 5).missed())
                .extracting(Explanation.Missed::why)
                .containsExactly(new Explanation.Why.NotHeld(4));
    }

    static Ballot ballot(int draw, int... groups) {
        return new Ballot(
                "s" + draw,
                draw,
                Arrays.stream(groups)
                        .mapToObj(group -> new Ballot.Wish(group, 0))
                        .toList());
    }

    @Property(tries = 200)
    void everyGroupThatComesAboutHasItsLeastSize(@ForAll long seed) {
        Random random = new Random(seed);
        Contest drawn = Contests.random(random, Rule.values()[random.nextInt(2)], false, 30, 8, 2, 8);
        Contest contest = new Contest(
                drawn.rule(),
                false,
                drawn.groups().stream()
                        .map(group -> new Group(group.code(), group.places(), random.nextInt(group.places() + 1)))
                        .toList(),
                drawn.ballots());
        Distribution distribution = Distribution.of(contest);
        for (int group = 0; group < 8; group++) {
            assertThat(distribution.size(group))
                    .isGreaterThanOrEqualTo(
                            distribution.closed(group).isPresent()
                                    ? 0
                                    : contest.groups().get(group).least());
        }
    }

    /** Anybody can check the digest, and draws the same. */
    @Test
    void theLotteryCanBeDrawnAgain() {
        Lottery lottery = new Lottery("a seed");
        // As `printf 'a seed' | sha256sum` says.
        assertThat(lottery.commitment()).isEqualTo("8f44d509e0492acec4fc109a030a5c751f063fb743cc388f0ed722bacc3bc66c");
        List<String> students = List.of("maris", "odo", "wren", "bryn");
        assertThat(lottery.draws(students)).isEqualTo(lottery.draws(new HashSet<>(students)));
        assertThat(lottery.draws(students).values()).containsExactlyInAnyOrder(1, 2, 3, 4);
    }
}
