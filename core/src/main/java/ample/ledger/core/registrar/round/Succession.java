package ample.ledger.core.registrar.round;

import ample.ledger.core.schedule.WishRound.Rule;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.stream.IntStream;

/** Who gets a place that is given back, by the rule of the round. */
public final class Succession {

    private Succession() {}

    /**
     * Somebody goes to a place that has become free.
     *
     * @param ballot whose
     * @param from the group in which they were; -1 for none. Its place is free then, and goes on
     * @param to the group
     */
    public record Move(int ballot, int from, int to) {}

    /**
     * What follows from a place that is free.
     *
     * <p>By priority, it goes to the first by class and lottery of those who would rather have it than what they have. Where the most are to be placed, it
     * goes to those who have none, by class, by how high it stands on their ballots, and by lottery; and if nobody wishes it who has none, to those whom it brings
     * the furthest up on their ballots.
     *
     * @param has for each ballot the group that the student has now; -1 for none
     * @param mayHave whether the student of a ballot may be given a group: not somebody who gave a place back, or who cannot take it
     */
    public static List<Move> of(Contest contest, List<Integer> has, int group, BiPredicate<Integer, Integer> mayHave) {
        List<Integer> now = new ArrayList<>(has);
        List<Move> moves = new ArrayList<>();
        int free = group;
        while (free >= 0) {
            Optional<Integer> next = next(contest, now, free, mayHave);
            if (next.isEmpty()) {
                break;
            }
            Move move = new Move(next.get(), now.get(next.get()), free);
            now.set(move.ballot(), free);
            moves.add(move);
            free = move.from();
        }
        return moves;
    }

    private static Optional<Integer> next(
            Contest contest, List<Integer> has, int group, BiPredicate<Integer, Integer> mayHave) {
        List<Ballot> ballots = contest.ballots();
        Comparator<Integer> order = contest.rule() == Rule.BY_PRIORITY
                ? Comparator.comparingInt(each -> priority(ballots.get(each), group))
                : Comparator.<Integer>comparingInt(each -> has.get(each) < 0 ? 0 : 1)
                        .thenComparingInt(each -> has.get(each) < 0 ? priority(ballots.get(each), group) : 0)
                        .thenComparingInt(
                                each -> ballots.get(each).place(group) - place(ballots.get(each), has.get(each)));
        return IntStream.range(0, ballots.size())
                .boxed()
                .filter(each -> ballots.get(each).rather(group, place(ballots.get(each), has.get(each))))
                .filter(each -> mayHave.test(each, group))
                .min(order.thenComparingInt(each -> ballots.get(each).draw()));
    }

    private static int priority(Ballot ballot, int group) {
        return ballot.wishes().get(ballot.place(group)).priority();
    }

    private static int place(Ballot ballot, int group) {
        return group < 0 ? -1 : ballot.place(group);
    }
}
