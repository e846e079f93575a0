package ample.ledger.core.registrar.round;

import ample.ledger.core.registrar.round.Contest.Group;
import java.util.Arrays;
import java.util.List;

/**
 * Students on their way to groups, and what it costs where they are. Beside the groups of the contest there is one more, {@link #nowhere}, in which everybody
 * is welcome who has no place.
 *
 * <p>One number orders distributions. First counts who has no place, and a student of a higher class counts more. Then, where groups are to be even, the sum
 * of the squares of their sizes; then the places of the wishes on the ballots. Each part weighs more than all that can come of the parts after it.
 *
 * <p>A higher class need count only a little more than the next. Then as many as possible have a place, and of each class in its order as many as possible. For
 * the sets of students who can have a place together are a matroid: Edmonds and Fulkerson, "Transversals and Matroid Partition", 1965.
 */
final class Placing {

    /** The group of those without a place. */
    final int nowhere;

    final int students;

    /** The wishes of a student are those from {@code first[student]} on, up to {@code first[student + 1]}; the last leads nowhere. */
    final int[] first;

    /** Of each wish, its group. */
    final int[] group;

    /** Of each wish, what it costs. */
    final long[] cost;

    /** Of each student the group in which they are; -1 for those who are in none yet. */
    final int[] at;

    /** The students of each group, in no order. */
    private final int[][] members;

    final int[] size;
    private final int[] places;
    private final int[] position;
    private final long evenness;

    /** @throws ArithmeticException where the contest is so large that its costs cannot be told apart in 63 bits; with five wishes of 100,000 students they can */
    Placing(Contest contest) {
        List<Ballot> ballots = contest.ballots();
        students = ballots.size();
        nowhere = contest.groups().size();
        int wishes = ballots.stream().mapToInt(ballot -> ballot.wishes().size()).sum();
        first = new int[students + 1];
        group = new int[wishes + students];
        cost = new long[wishes + students];
        places = new int[nowhere + 1];
        for (int each = 0; each < nowhere; each++) {
            places[each] = Math.min(students, contest.groups().get(each).places());
        }
        places[nowhere] = students;
        long ofEvenness = Math.addExact(wishes, 1);
        int largest = contest.groups().stream().mapToInt(Group::places).max().orElse(0);
        long ofNowhere = contest.even()
                ? Math.multiplyExact(
                        ofEvenness, Math.addExact(Math.multiplyExact((long) students, Math.min(largest, students)), 1))
                : ofEvenness;
        evenness = contest.even() ? ofEvenness : 0;
        int lowest = ballots.stream()
                .mapToInt(ballot -> ballot.wishes().get(0).priority())
                .max()
                .orElse(0);
        Math.multiplyExact(ofNowhere, 4L * (lowest + 2));
        int next = 0;
        for (int student = 0; student < students; student++) {
            first[student] = next;
            List<Ballot.Wish> own = ballots.get(student).wishes();
            for (int place = 0; place < own.size(); place++) {
                group[next] = own.get(place).group();
                cost[next++] = place;
            }
            group[next] = nowhere;
            cost[next++] = ofNowhere * (lowest + 1 - own.get(0).priority());
        }
        first[students] = next;
        at = new int[students];
        Arrays.fill(at, -1);
        position = new int[students];
        members = new int[nowhere + 1][8];
        size = new int[nowhere + 1];
    }

    int groups() {
        return nowhere + 1;
    }

    boolean hasPlace(int some) {
        return size[some] < places[some];
    }

    /** What the next student in a group costs by making it larger. */
    long nextCost(int some) {
        return some == nowhere ? 0 : evenness * (2L * size[some] + 1);
    }

    /** What the last student in a group cost by making it larger. */
    long lastCost(int some) {
        return some == nowhere ? 0 : evenness * (2L * size[some] - 1);
    }

    int member(int some, int index) {
        return members[some][index];
    }

    /** What it costs that a student is where they are. */
    long ownCost(int student) {
        for (int wish = first[student]; ; wish++) {
            if (group[wish] == at[student]) {
                return cost[wish];
            }
        }
    }

    /** A student leaves where they are, if anywhere, and goes to a group; whether it has places is for the caller to see to. */
    void move(int student, int to) {
        int from = at[student];
        if (from >= 0) {
            int last = members[from][--size[from]];
            members[from][position[student]] = last;
            position[last] = position[student];
        }
        if (members[to].length == size[to]) {
            members[to] = Arrays.copyOf(members[to], 2 * size[to]);
        }
        position[student] = size[to];
        members[to][size[to]++] = student;
        at[student] = to;
    }

    /** For each student the group; -1 for those without. */
    int[] result() {
        return Arrays.stream(at).map(some -> some == nowhere ? -1 : some).toArray();
    }
}
