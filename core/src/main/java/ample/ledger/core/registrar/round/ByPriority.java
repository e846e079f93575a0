package ample.ledger.core.registrar.round;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.PriorityQueue;

/**
 * Student-proposing deferred acceptance: Gale and Shapley, "College Admissions and the Stability of Marriage", 1962; with classes of priority whose ties the
 * lottery breaks, as Abdulkadiroğlu and Sönmez, "School Choice: A Mechanism Design Approach", 2003, use it.
 *
 * <p>Each student asks for the most wished group; a group keeps those of highest priority up to its places, and whoever is sent away asks for the next.
 * Nobody can be better off by ranking otherwise than they wish. Cost: one step for each wish, with the logarithm of the places.
 */
final class ByPriority {

    private ByPriority() {}

    /** For each ballot the position of the group; -1 for none. */
    static int[] distribute(Contest contest) {
        List<Ballot> ballots = contest.ballots();
        List<PriorityQueue<Asking>> kept = new ArrayList<>();
        contest.groups().forEach(group -> kept.add(new PriorityQueue<>(Asking.ORDER.reversed())));
        int[] next = new int[ballots.size()];
        Deque<Integer> asking = new ArrayDeque<>();
        for (int ballot = 0; ballot < ballots.size(); ballot++) {
            asking.add(ballot);
        }
        while (!asking.isEmpty()) {
            int ballot = asking.poll();
            Ballot own = ballots.get(ballot);
            if (next[ballot] == own.wishes().size()) {
                continue;
            }
            Ballot.Wish wish = own.wishes().get(next[ballot]++);
            PriorityQueue<Asking> group = kept.get(wish.group());
            group.add(new Asking(ballot, wish.priority(), own.draw()));
            if (group.size() > contest.groups().get(wish.group()).places()) {
                asking.add(group.remove().ballot());
            }
        }
        int[] got = new int[ballots.size()];
        Arrays.fill(got, -1);
        for (int group = 0; group < kept.size(); group++) {
            for (Asking each : kept.get(group)) {
                got[each.ballot()] = group;
            }
        }
        return got;
    }

    /** A student as a group sees them. */
    private record Asking(int ballot, int priority, int draw) {

        /** The first is kept the longest. */
        static final Comparator<Asking> ORDER =
                Comparator.comparingInt(Asking::priority).thenComparingInt(Asking::draw);
    }
}
