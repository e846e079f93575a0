package ample.ledger.core.registrar.round;

import java.util.Arrays;
import java.util.Comparator;
import java.util.PriorityQueue;

/**
 * As many students as possible get a place; of such distributions, the classes of priority get as many as possible in their order; of those, where it is asked for,
 * the groups are as near in size as may be; of those, the wishes that are fulfilled stand as high on the ballots as may be in all; of those, the
 * student who drew the lowest number gets the best that they can have, then the next.
 *
 * <p>This is a flow of least cost through a network of students and groups. It is found by successive shortest paths with prices: Edmonds and Karp,
 * "Theoretical Improvements in Algorithmic Efficiency for Network Flow Problems", 1972; Ahuja, Magnanti and Orlin, "Network Flows", 1993, 9.8. Every
 * group has a price: what one more student in it costs, wherever that leads. Paths are looked for among groups, which are few. All paths that are as short
 * are used before prices rise again. Cost: one step for each wish, each time that prices rise.
 */
final class MostPlaced {

    private final Placing placing;

    /** What one more student in a group costs at least, wherever that leads. */
    private final long[] price;

    /** How many students a path from the group moves, and one. */
    private final int[] steps;

    /** How far the students of a group have been looked through for somebody who can move on. */
    private final int[] next;

    private final int[][] wishedBy;

    private MostPlaced(Placing placing) {
        this.placing = placing;
        this.price = new long[placing.groups()];
        this.steps = new int[placing.groups()];
        this.next = new int[placing.groups()];
        this.wishedBy = wishedBy(placing);
    }

    /** For each ballot the position of the group; -1 for none. */
    static int[] distribute(Contest contest) {
        Placing placing = new Placing(contest);
        MostPlaced most = new MostPlaced(placing);
        most.place();
        new Lots(contest, placing, most.price).draw();
        return placing.result();
    }

    /** For each group the students who wish it. */
    private static int[][] wishedBy(Placing placing) {
        int[] count = new int[placing.groups()];
        for (int some : placing.group) {
            count[some]++;
        }
        int[][] wishedBy = new int[placing.groups()][];
        for (int some = 0; some < wishedBy.length; some++) {
            wishedBy[some] = new int[count[some]];
        }
        for (int student = 0; student < placing.students; student++) {
            for (int wish = placing.first[student]; wish < placing.first[student + 1]; wish++) {
                int named = placing.group[wish];
                wishedBy[named][--count[named]] = student;
            }
        }
        return wishedBy;
    }

    private void place() {
        int[] left = new int[placing.students];
        for (int student = 0; student < left.length; student++) {
            left[student] = student;
        }
        int count = left.length;
        while (count > 0) {
            raisePrices();
            Arrays.fill(next, 0);
            int still = 0;
            for (int i = 0; i < count; i++) {
                if (!enter(left[i])) {
                    left[still++] = left[i];
                }
            }
            count = still;
        }
    }

    /** Tries the wishes that cost a student least at these prices. */
    private boolean enter(int student) {
        long least = Long.MAX_VALUE;
        for (int wish = placing.first[student]; wish < placing.first[student + 1]; wish++) {
            least = Math.min(least, at(wish));
        }
        for (int wish = placing.first[student]; wish < placing.first[student + 1]; wish++) {
            if (at(wish) == least && makeRoom(placing.group[wish])) {
                placing.move(student, placing.group[wish]);
                return true;
            }
        }
        return false;
    }

    private long at(int wish) {
        long now = price[placing.group[wish]];
        return now == Long.MAX_VALUE ? now : placing.cost[wish] + now;
    }

    /**
     * Makes sure that a group has a place, by moving one of its students on where need be, along a path as short as its price says. Groups that could not are not
     * tried again at these prices.
     */
    private boolean makeRoom(int group) {
        if (steps[group] == 1) {
            return placing.hasPlace(group) && placing.nextCost(group) == price[group];
        }
        while (next[group] < placing.size[group]) {
            int student = placing.member(group, next[group]);
            long own = placing.ownCost(student) + price[group];
            for (int wish = placing.first[student]; wish < placing.first[student + 1]; wish++) {
                int to = placing.group[wish];
                if (steps[to] == steps[group] - 1 && at(wish) == own && makeRoom(to)) {
                    placing.move(student, to);
                    return true;
                }
            }
            next[group]++;
        }
        return false;
    }

    /** A path from a group to one that has a place. */
    private record Reached(long more, int steps, int group) {

        static final Comparator<Reached> ORDER =
                Comparator.comparingLong(Reached::more).thenComparingInt(Reached::steps);
    }

    /** Dijkstra's algorithm from the groups that have places, backwards, by how much the prices have to rise; of paths that are as cheap the shortest. */
    private void raisePrices() {
        long[] more = new long[price.length];
        Arrays.fill(more, Long.MAX_VALUE);
        boolean[] settled = new boolean[price.length];
        PriorityQueue<Reached> queue = new PriorityQueue<>(Reached.ORDER);
        for (int group = 0; group < price.length; group++) {
            if (placing.hasPlace(group) && price[group] != Long.MAX_VALUE) {
                more[group] = placing.nextCost(group) - price[group];
                steps[group] = 1;
                queue.add(new Reached(more[group], 1, group));
            }
        }
        while (!queue.isEmpty()) {
            Reached reached = queue.remove();
            int group = reached.group();
            if (!settled[group]) {
                settled[group] = true;
                for (int student : wishedBy[group]) {
                    int from = placing.at[student];
                    if (from >= 0 && !settled[from]) {
                        long longer = more[group]
                                + price[group]
                                + costOf(student, group)
                                - price[from]
                                - placing.ownCost(student);
                        int further = steps[group] + 1;
                        if (longer < more[from] || longer == more[from] && further < steps[from]) {
                            more[from] = longer;
                            steps[from] = further;
                            queue.add(new Reached(longer, further, from));
                        }
                    }
                }
            }
        }
        for (int group = 0; group < price.length; group++) {
            // From a group without places nothing leads on.
            price[group] = settled[group] ? price[group] + more[group] : Long.MAX_VALUE;
        }
    }

    private long costOf(int student, int group) {
        for (int wish = placing.first[student]; ; wish++) {
            if (placing.group[wish] == group) {
                return placing.cost[wish];
            }
        }
    }
}
