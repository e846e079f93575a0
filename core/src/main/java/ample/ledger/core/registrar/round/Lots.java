package ample.ledger.core.registrar.round;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Deque;
import java.util.stream.IntStream;

/**
 * Of all distributions of least cost, chooses by lottery: the student who drew the lowest number gets the best that they have in any of them, then the next,
 * as far as those before leave it open.
 *
 * <p>The distributions of least cost are those in which every student is where it costs them least at the prices, and every group has as many students as its
 * price says (complementary slackness). So a student gets better by a ring of moves at no cost; it is looked for among groups. Cost: for each student who has a
 * choice, at most the number of groups squared, 64 at a time.
 */
final class Lots {

    private final Contest contest;
    private final Placing placing;
    private final long[] price;

    /** How many students could go from one group to another at no cost, of those who have not drawn yet. */
    private final int[][] movable;

    /** By groups, a bit for each group to which somebody could go. */
    private final long[][] leads;

    private final boolean[] fixed;

    Lots(Contest contest, Placing placing, long[] price) {
        this.contest = contest;
        this.placing = placing;
        this.price = price;
        this.movable = new int[placing.groups()][];
        this.leads = new long[placing.groups()][];
        this.fixed = new boolean[placing.students];
    }

    void draw() {
        int[] choosing = IntStream.range(0, placing.students)
                .filter(this::hasChoice)
                .boxed()
                .sorted(Comparator.comparingInt(
                        student -> contest.ballots().get(student).draw()))
                .mapToInt(student -> student)
                .toArray();
        Arrays.stream(choosing).forEach(student -> count(student, 1));
        for (int student : choosing) {
            count(student, -1);
            fixed[student] = true;
            improve(student);
        }
    }

    private boolean hasChoice(int student) {
        long own = placing.ownCost(student) + price[placing.at[student]];
        int choices = 0;
        for (int wish = placing.first[student]; wish < placing.first[student + 1]; wish++) {
            if (isOpen(wish, own)) {
                choices++;
            }
        }
        return choices > 1;
    }

    private boolean isOpen(int wish, long own) {
        long there = price[placing.group[wish]];
        return there != Long.MAX_VALUE && placing.cost[wish] + there == own;
    }

    /** Notes where a student could go from where they are. */
    private void count(int student, int by) {
        int from = placing.at[student];
        long own = placing.ownCost(student) + price[from];
        for (int wish = placing.first[student]; wish < placing.first[student + 1]; wish++) {
            int to = placing.group[wish];
            if (to != from && isOpen(wish, own)) {
                if (movable[from] == null) {
                    movable[from] = new int[placing.groups()];
                    leads[from] = new long[placing.groups() / Long.SIZE + 1];
                }
                movable[from][to] += by;
                if (movable[from][to] == 0) {
                    leads[from][to / Long.SIZE] &= ~(1L << to);
                } else {
                    leads[from][to / Long.SIZE] |= 1L << to;
                }
            }
        }
    }

    private void improve(int student) {
        int from = placing.at[student];
        long own = placing.ownCost(student) + price[from];
        for (int wish = placing.first[student]; placing.group[wish] != from; wish++) {
            if (isOpen(wish, own) && goRound(student, placing.group[wish])) {
                return;
            }
        }
    }

    /** Lets a student into a group, if others can move on until the place that the student leaves is taken. */
    private boolean goRound(int student, int to) {
        int from = placing.at[student];
        int outside = placing.groups();
        int[] before = new int[outside + 1];
        Arrays.fill(before, -1);
        long[] unseen = new long[outside / Long.SIZE + 1];
        for (int group = 0; group < outside; group++) {
            unseen[group / Long.SIZE] |= 1L << group;
        }
        Deque<Integer> reached = new ArrayDeque<>();
        before[to] = to;
        unseen[to / Long.SIZE] &= ~(1L << to);
        reached.add(to);
        while (before[from] < 0 && !reached.isEmpty()) {
            int group = reached.remove();
            if (group == outside) {
                for (int other = 0; other < outside; other++) {
                    if (before[other] < 0 && placing.size[other] > 0 && placing.lastCost(other) == price[other]) {
                        see(other, group, before, unseen, reached);
                    }
                }
                continue;
            }
            if (before[outside] < 0 && placing.hasPlace(group) && placing.nextCost(group) == price[group]) {
                before[outside] = group;
                reached.add(outside);
            }
            if (leads[group] != null) {
                for (int word = 0; word < leads[group].length; word++) {
                    for (long open = leads[group][word] & unseen[word]; open != 0; open &= open - 1) {
                        see(word * Long.SIZE + Long.numberOfTrailingZeros(open), group, before, unseen, reached);
                    }
                }
            }
        }
        if (before[from] < 0) {
            return false;
        }
        moveAlong(before, from, to);
        placing.move(student, to);
        return true;
    }

    private static void see(int group, int from, int[] before, long[] unseen, Deque<Integer> reached) {
        before[group] = from;
        unseen[group / Long.SIZE] &= ~(1L << group);
        reached.add(group);
    }

    /** Through the outside nobody moves: one group becomes larger and another smaller. */
    private void moveAlong(int[] before, int end, int start) {
        for (int to = end; to != start; to = before[to]) {
            int from = before[to];
            if (from != placing.nowhere + 1 && to != placing.nowhere + 1) {
                int mover = mover(from, to);
                count(mover, -1);
                placing.move(mover, to);
                count(mover, 1);
            }
        }
    }

    private int mover(int from, int to) {
        for (int i = 0; ; i++) {
            int student = placing.member(from, i);
            if (!fixed[student]) {
                long own = placing.ownCost(student) + price[from];
                for (int wish = placing.first[student]; wish < placing.first[student + 1]; wish++) {
                    if (placing.group[wish] == to && isOpen(wish, own)) {
                        return student;
                    }
                }
            }
        }
    }
}
