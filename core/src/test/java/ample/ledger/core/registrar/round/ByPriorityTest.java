package ample.ledger.core.registrar.round;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.registrar.round.Contest.Group;
import ample.ledger.core.schedule.WishRound.Rule;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class ByPriorityTest {

    private static List<Integer> got(Contest contest) {
        return Distribution.of(contest).got();
    }

    /**
     * Somebody wishes a group more than what they have, and it has a free place or somebody who comes after them.
     */
    private static boolean isBlocked(Contest contest, List<Integer> got) {
        for (int i = 0; i < got.size(); i++) {
            Ballot ballot = contest.ballots().get(i);
            for (Ballot.Wish wish : ballot.wishes()) {
                if (wish.group() == got.get(i)) {
                    break;
                }
                List<Ballot> there = IntStream.range(0, got.size())
                        .filter(each -> got.get(each) == wish.group())
                        .mapToObj(contest.ballots()::get)
                        .toList();
                int places = contest.groups().get(wish.group()).places();
                boolean before = there.stream().anyMatch(other -> comesBefore(ballot, other, wish.group()));
                if (there.size() < places || places > 0 && before) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean comesBefore(Ballot one, Ballot other, int group) {
        int ofOne = one.wishes().get(one.place(group)).priority();
        int ofOther = other.wishes().get(other.place(group)).priority();
        return ofOne < ofOther || ofOne == ofOther && one.draw() < other.draw();
    }

    @Property(tries = 500)
    void nobodyCanPointToAPlaceOfSomebodyWhoComesAfterThem(@ForAll long seed) {
        Random random = new Random(seed);
        Contest contest =
                Contests.random(random, Rule.BY_PRIORITY, false, 1 + random.nextInt(30), 1 + random.nextInt(7), 4, 5);
        assertThat(isBlocked(contest, got(contest))).isFalse();
    }

    /** Of all distributions in which nobody can, by going through them, it is the best for each student. */
    @Property(tries = 500)
    void isTheBestForEachStudentOfAllThatAreStable(@ForAll long seed) {
        Random random = new Random(seed);
        Contest contest =
                Contests.random(random, Rule.BY_PRIORITY, false, 1 + random.nextInt(5), 1 + random.nextInt(4), 4, 2);
        Distribution distribution = Distribution.of(contest);
        Contests.all(contest, each -> {
            List<Integer> other = Arrays.stream(each).boxed().toList();
            if (!isBlocked(contest, other)) {
                for (int i = 0; i < each.length; i++) {
                    int own = distribution.place(i);
                    int there = each[i] < 0
                            ? Integer.MAX_VALUE
                            : contest.ballots().get(i).place(each[i]);
                    assertThat(own < 0 ? Integer.MAX_VALUE : own).isLessThanOrEqualTo(there);
                }
            }
        });
    }

    /**
     * @param wishes for each student the groups, the most wished first
     * @param orders for each group all students, the first of priority first
     */
    private static Contest marriage(int[][] wishes, int[][] orders) {
        List<Ballot> ballots = new ArrayList<>();
        for (int i = 0; i < wishes.length; i++) {
            int student = i;
            ballots.add(new Ballot(
                    "s" + i,
                    i,
                    Arrays.stream(wishes[i])
                            .mapToObj(group -> new Ballot.Wish(
                                    group,
                                    IntStream.range(0, orders[group].length)
                                            .filter(at -> orders[group][at] == student)
                                            .findFirst()
                                            .orElseThrow()))
                            .toList()));
        }
        return new Contest(
                Rule.BY_PRIORITY,
                false,
                IntStream.range(0, orders.length)
                        .mapToObj(group -> new Group("g" + group, 1, 0))
                        .toList(),
                ballots);
    }

    /** Gale and Shapley 1962, Example 1, from memory: everybody who asks gets the first choice. */
    @Test
    void galeAndShapleysFirstExample() {
        Contest contest =
                marriage(new int[][] {{0, 1, 2}, {1, 2, 0}, {2, 0, 1}}, new int[][] {{1, 2, 0}, {2, 0, 1}, {0, 1, 2}});
        assertThat(got(contest)).containsExactly(0, 1, 2);
    }

    /** Gale and Shapley 1962, Example 2, from memory; that there is one stable set of marriages, as they say, is counted here. */
    @Test
    void galeAndShapleysSecondExample() {
        Contest contest = marriage(
                new int[][] {{0, 1, 2, 3}, {0, 3, 2, 1}, {1, 0, 2, 3}, {3, 1, 2, 0}},
                new int[][] {{3, 2, 0, 1}, {1, 3, 0, 2}, {3, 0, 1, 2}, {2, 1, 0, 3}});
        List<List<Integer>> stable = new ArrayList<>();
        Contests.all(contest, each -> {
            List<Integer> other = Arrays.stream(each).boxed().toList();
            if (!isBlocked(contest, other)) {
                stable.add(other);
            }
        });
        assertThat(stable).containsExactly(List.of(2, 3, 0, 1));
        assertThat(got(contest)).containsExactly(2, 3, 0, 1);
    }

    /** Abdulkadiroğlu and Sönmez 2003, Example 1, from memory: the stable distribution is worse for two students than one that is not stable. */
    @Test
    void abdulkadirogluAndSonmezsExample() {
        Contest contest =
                marriage(new int[][] {{1, 0, 2}, {0, 1, 2}, {0, 1, 2}}, new int[][] {{0, 2, 1}, {1, 0, 2}, {1, 0, 2}});
        assertThat(got(contest)).containsExactly(0, 1, 2);
        assertThat(isBlocked(contest, List.of(1, 0, 2))).isTrue();
    }
}
