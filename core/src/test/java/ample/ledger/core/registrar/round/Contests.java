package ample.ledger.core.registrar.round;

import ample.ledger.core.registrar.round.Contest.Group;
import ample.ledger.core.schedule.WishRound.Rule;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/** Contests at random, and all distributions of small ones. */
public final class Contests {

    private Contests() {}

    /**
     * A contest at random.
     *
     * @param classes of priority; by priority each student has one of them in each group
     */
    public static Contest random(
            Random random, Rule rule, boolean even, int students, int groups, int classes, int mostPlaces) {
        List<Group> some = new ArrayList<>();
        for (int group = 0; group < groups; group++) {
            some.add(new Group("G" + group, random.nextInt(mostPlaces + 1), 0));
        }
        List<Integer> draws =
                new ArrayList<>(IntStream.rangeClosed(1, students).boxed().toList());
        Collections.shuffle(draws, random);
        List<Integer> all = new ArrayList<>(IntStream.range(0, groups).boxed().toList());
        List<Ballot> ballots = new ArrayList<>();
        for (int student = 0; student < students; student++) {
            Collections.shuffle(all, random);
            int own = random.nextInt(classes);
            ballots.add(new Ballot(
                    "s" + student,
                    draws.get(student),
                    all.subList(0, 1 + random.nextInt(groups)).stream()
                            .map(group ->
                                    new Ballot.Wish(group, rule == Rule.MOST_PLACED ? own : random.nextInt(classes)))
                            .toList()));
        }
        return new Contest(rule, even, some, ballots);
    }

    /** Every distribution that keeps to wishes and places. */
    static void all(Contest contest, Consumer<int[]> each) {
        int[] got = new int[contest.ballots().size()];
        Arrays.fill(got, -1);
        all(contest, 0, got, new int[contest.groups().size()], each);
    }

    private static void all(Contest contest, int ballot, int[] got, int[] sizes, Consumer<int[]> each) {
        if (ballot == got.length) {
            each.accept(got.clone());
            return;
        }
        got[ballot] = -1;
        all(contest, ballot + 1, got, sizes, each);
        for (Ballot.Wish wish : contest.ballots().get(ballot).wishes()) {
            if (sizes[wish.group()] < contest.groups().get(wish.group()).places()) {
                sizes[wish.group()]++;
                got[ballot] = wish.group();
                all(contest, ballot + 1, got, sizes, each);
                sizes[wish.group()]--;
            }
        }
        got[ballot] = -1;
    }

    /**
     * What distributions are ordered by where the most are to be placed, the lowest first: the number without a place, minus the numbers placed of each
     * class, squares, places on the ballots, and the place of each student in the order of the lottery.
     */
    static long[] order(Contest contest, int[] got) {
        int students = got.length;
        int classes = contest.ballots().stream()
                        .mapToInt(ballot -> ballot.wishes().get(0).priority())
                        .max()
                        .orElse(0)
                + 1;
        long[] order = new long[1 + classes + 2 + students];
        long[] sizes = new long[contest.groups().size()];
        for (int i = 0; i < students; i++) {
            Ballot ballot = contest.ballots().get(i);
            if (got[i] < 0) {
                order[0]++;
            } else {
                order[1 + ballot.wishes().get(0).priority()]--;
                sizes[got[i]]++;
                order[classes + 2] += ballot.place(got[i]);
            }
            order[classes + 2 + ballot.draw()] = got[i] < 0 ? Integer.MAX_VALUE : ballot.place(got[i]);
        }
        order[classes + 1] =
                contest.even() ? Arrays.stream(sizes).map(size -> size * size).sum() : 0;
        return order;
    }
}
