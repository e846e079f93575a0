package ample.ledger.core.registrar.round;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.registrar.round.Contest.Group;
import ample.ledger.core.registrar.round.Explanation.Missed;
import ample.ledger.core.registrar.round.Explanation.Why;
import ample.ledger.core.schedule.WishRound.Rule;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** What explanations say, compared with all distributions that there are. */
class ExplanationTest {

    @Property(tries = 600)
    void whatIsSaidOfAMissedWishIsSoInEveryDistribution(@ForAll long seed) {
        Random random = new Random(seed);
        Contest contest = Contests.random(
                random, Rule.MOST_PLACED, random.nextBoolean(), 2 + random.nextInt(4), 2 + random.nextInt(2), 2, 2);
        Distribution distribution = Distribution.of(contest);
        int[] got = distribution.got().stream().mapToInt(each -> each).toArray();
        long[] now = Contests.order(contest, got);
        int parts = now.length - got.length;
        for (int ballot = 0; ballot < got.length; ballot++) {
            int student = ballot;
            for (Missed missed : Explanation.of(distribution, ballot).missed()) {
                List<long[]> there = new ArrayList<>();
                Contests.all(contest, each -> {
                    if (each[student] == missed.group()) {
                        there.add(Contests.order(contest, each));
                    }
                });
                long[] best = there.stream().min(Arrays::compare).orElse(null);
                Why why = missed.why();
                if (why instanceof Why.NoPlaces) {
                    assertThat(best).isNull();
                } else if (why instanceof Why.FewerPlaced fewer) {
                    assertThat(best[0] - now[0]).isEqualTo(fewer.fewer());
                } else if (why instanceof Why.FewerOfClass fewer) {
                    assertThat(best[0]).isEqualTo(now[0]);
                    assertThat(Arrays.mismatch(best, now)).isEqualTo(1 + fewer.priority());
                } else if (why instanceof Why.LessEven) {
                    assertThat(Arrays.mismatch(best, now)).isEqualTo(parts - 2);
                } else if (why instanceof Why.LowerWishes lower) {
                    assertThat(Arrays.mismatch(best, now)).isEqualTo(parts - 1);
                    assertThat(best[parts - 1] - now[parts - 1]).isEqualTo(lower.places());
                } else if (why instanceof Why.ByLot lot) {
                    assertThat(Arrays.mismatch(best, now)).isEqualTo(parts + lot.draw() - 1);
                    assertThat(lot.draw())
                            .isLessThan(contest.ballots().get(student).draw());
                }
            }
        }
    }

    @Property(tries = 300)
    void theLineThatIsNamedIsTheLine(@ForAll long seed) {
        Random random = new Random(seed);
        Contest contest = Contests.random(random, Rule.BY_PRIORITY, false, 30, 5, 3, 6);
        Distribution distribution = Distribution.of(contest);
        for (int ballot = 0; ballot < 30; ballot++) {
            Ballot own = contest.ballots().get(ballot);
            for (Missed missed : Explanation.of(distribution, ballot).missed()) {
                if (missed.why() instanceof Why.Outranked line) {
                    long own0 = key(own, missed.group());
                    long last = -1;
                    long ahead = 0;
                    for (int other = 0; other < 30; other++) {
                        Ballot each = contest.ballots().get(other);
                        if (distribution.got().get(other) == missed.group()) {
                            last = Math.max(last, key(each, missed.group()));
                        } else if (each.place(missed.group()) >= 0
                                && (distribution.got().get(other) < 0
                                        || each.place(distribution.got().get(other)) > each.place(missed.group()))
                                && key(each, missed.group()) < own0) {
                            ahead++;
                        }
                    }
                    assertThat(1_000L * line.priority() + line.draw())
                            .isEqualTo(last)
                            .isLessThan(own0);
                    assertThat(line.ahead()).isEqualTo(ahead);
                    assertThat(missed.oneMore() || ahead > 0)
                            .as("with one place more the first in line gets it")
                            .isTrue();
                }
            }
        }
    }

    private static long key(Ballot ballot, int group) {
        return 1_000L * ballot.wishes().get(ballot.place(group)).priority() + ballot.draw();
    }

    @Test
    void aPlaceGivenBackGoesToTheNextByTheRuleAndSoDoesTheirs() {
        // One place each; the second and third wished the first group more.
        List<Ballot> ballots =
                List.of(MostPlacedTest.ballot(1, 0), MostPlacedTest.ballot(2, 0, 1), MostPlacedTest.ballot(3, 0, 1));
        List<Group> groups = List.of(new Group("a", 1, 0), new Group("b", 1, 0));
        Contest byPriority = new Contest(Rule.BY_PRIORITY, false, groups, ballots);
        List<Integer> got = Distribution.of(byPriority).got();
        assertThat(got).containsExactly(0, 1, -1);
        assertThat(Succession.of(byPriority, List.of(-1, 1, -1), 0, (ballot, group) -> ballot != 0))
                .containsExactly(new Succession.Move(1, 1, 0), new Succession.Move(2, -1, 1));
        Contest mostPlaced = new Contest(Rule.MOST_PLACED, false, groups, ballots);
        assertThat(Succession.of(mostPlaced, List.of(-1, 1, -1), 0, (ballot, group) -> ballot != 0))
                .as("whoever has none comes first")
                .containsExactly(new Succession.Move(2, -1, 0));
    }
}
