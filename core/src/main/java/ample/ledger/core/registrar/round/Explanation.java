package ample.ledger.core.registrar.round;

import ample.ledger.core.registrar.round.Contest.Group;
import ample.ledger.core.schedule.WishRound.Rule;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Why a student got what they got, worked out from the distribution.
 *
 * @param got at which place of their ballot their group is, from 0; -1 for none
 * @param missed the wishes above it, or all, the highest first
 */
public record Explanation(int got, List<Missed> missed) {

    public Explanation {
        missed = List.copyOf(missed);
    }

    /**
     * A wish that was not fulfilled.
     *
     * @param group the position of the group
     * @param wished how many students had it on their ballots
     * @param first how many of them as their highest wish
     * @param oneMore whether one place more in the group would have given the student this wish or a higher one
     */
    public record Missed(int group, int wished, int first, Why why, boolean oneMore) {}

    /** What stood in the way. */
    public sealed interface Why {

        /** The name of its kind, as files have it: "by-lot". */
        default String code() {
            return getClass()
                    .getSimpleName()
                    .replaceAll("(?<=[a-z])(?=[A-Z])", "-")
                    .toLowerCase(Locale.ROOT);
        }

        /** The group did not come about. */
        record NotHeld(int students) implements Why {}

        /** Nobody could have a place there. */
        record NoPlaces() implements Why {}

        /**
         * All places went to others who come before the student.
         *
         * @param priority of the last who got one
         * @param draw of the last who got one
         * @param ahead how many come before the student who would rather have it than what they got
         */
        record Outranked(int priority, int draw, int ahead) implements Why {}

        /** With the student there, so many fewer would have got a place, however the others are distributed. */
        record FewerPlaced(int fewer) implements Why {}

        /** With the student there, as many would have got a place, but one fewer of a class that comes before others. */
        record FewerOfClass(int priority) implements Why {}

        /** With the student there, the groups would have been less even in size. */
        record LessEven() implements Why {}

        /** With the student there, the others would have lost more places on their ballots than the student gained; by so many. */
        record LowerWishes(int places) implements Why {}

        /**
         * There are distributions as good with the student there, and the lottery decided. In each of them somebody gets what they wished less whose draw is
         * this number or a lower one.
         */
        record ByLot(int draw) implements Why {}
    }

    /** Why this student got what they got. Cost: for each wish above it, that of one or two distributions. */
    public static Explanation of(Distribution distribution, int ballot) {
        Contest contest = distribution.contest();
        Ballot own = contest.ballots().get(ballot);
        int got = distribution.place(ballot);
        List<Missed> missed = own.wishes().stream()
                .limit(got < 0 ? own.wishes().size() : got)
                .map(wish -> missed(distribution, ballot, wish.group()))
                .toList();
        return new Explanation(got, missed);
    }

    private static Missed missed(Distribution distribution, int ballot, int group) {
        List<Ballot> ballots = distribution.contest().ballots();
        return new Missed(
                group,
                (int) ballots.stream().filter(each -> each.place(group) >= 0).count(),
                (int) ballots.stream().filter(each -> each.place(group) == 0).count(),
                why(distribution, ballot, group),
                oneMore(distribution, ballot, group));
    }

    private static boolean oneMore(Distribution distribution, int ballot, int group) {
        if (distribution.closed(group).isPresent()) {
            return false;
        }
        Contest contest = distribution.contest();
        Distribution then = Distribution.of(
                contest.withPlaces(group, contest.groups().get(group).places() + 1));
        int place = then.place(ballot);
        return place >= 0 && place <= contest.ballots().get(ballot).place(group);
    }

    private static Why why(Distribution distribution, int ballot, int group) {
        Contest contest = distribution.contest();
        Group wished = contest.groups().get(group);
        Optional<Distribution.Closed> closed = distribution.closed(group);
        if (closed.isPresent()) {
            return new Why.NotHeld(closed.get().students());
        }
        if (wished.places() == 0) {
            return new Why.NoPlaces();
        }
        return contest.rule() == Rule.BY_PRIORITY
                ? outranked(distribution, ballot, group)
                : worse(distribution, ballot, group);
    }

    private static Why outranked(Distribution distribution, int ballot, int group) {
        List<Ballot> ballots = distribution.contest().ballots();
        Comparator<Ballot> order =
                Comparator.comparingInt((Ballot each) -> priority(each, group)).thenComparingInt(Ballot::draw);
        Ballot last = IntStream.range(0, ballots.size())
                .filter(each -> distribution.got().get(each) == group)
                .mapToObj(ballots::get)
                .max(order)
                .orElseThrow();
        Ballot own = ballots.get(ballot);
        int ahead = (int) IntStream.range(0, ballots.size())
                .filter(each -> ballots.get(each).rather(group, distribution.place(each))
                        && order.compare(ballots.get(each), own) < 0)
                .count();
        return new Why.Outranked(priority(last, group), last.draw(), ahead);
    }

    private static int priority(Ballot ballot, int group) {
        return ballot.wishes().get(ballot.place(group)).priority();
    }

    /**
     * Puts the student there and distributes the rest as well as that allows; what is worse then is the reason. Whoever comes before all others and has one
     * wish alone is sure to get it.
     */
    private static Why worse(Distribution distribution, int ballot, int group) {
        Contest open = distribution.open();
        Ballot own = open.ballots().get(ballot);
        Contest forced = open.withBallots(open.ballots().stream()
                .map(each -> each.draw() == own.draw()
                        ? new Ballot(each.student(), each.draw(), List.of(new Ballot.Wish(group, 0)))
                        : each.behind())
                .toList());
        List<Integer> then = IntStream.of(MostPlaced.distribute(forced)).boxed().toList();
        Standing now = Standing.of(open, distribution.got());
        Standing other = Standing.of(open, then);
        if (other.placed() < now.placed()) {
            return new Why.FewerPlaced(now.placed() - other.placed());
        }
        for (int priority = 0; priority < now.ofClass().length; priority++) {
            if (other.ofClass()[priority] < now.ofClass()[priority]) {
                return new Why.FewerOfClass(priority);
            }
        }
        if (open.even() && other.squares() > now.squares()) {
            return new Why.LessEven();
        }
        if (other.places() > now.places()) {
            return new Why.LowerWishes(Math.toIntExact(other.places() - now.places()));
        }
        return IntStream.range(0, then.size())
                .filter(each -> !then.get(each).equals(distribution.got().get(each)))
                .mapToObj(open.ballots()::get)
                .filter(each -> each.draw() != own.draw())
                .min(Comparator.comparingInt(Ballot::draw))
                .<Why>map(first -> new Why.ByLot(first.draw()))
                .orElseThrow();
    }

    /** How good a distribution is that places the most. */
    private record Standing(int placed, int[] ofClass, long squares, long places) {

        static Standing of(Contest contest, List<Integer> got) {
            int lowest = contest.ballots().stream()
                    .mapToInt(ballot -> ballot.wishes().get(0).priority())
                    .max()
                    .orElse(0);
            int[] ofClass = new int[lowest + 1];
            long[] sizes = new long[contest.groups().size()];
            int placed = 0;
            long places = 0;
            for (int i = 0; i < got.size(); i++) {
                if (got.get(i) >= 0) {
                    Ballot ballot = contest.ballots().get(i);
                    placed++;
                    ofClass[ballot.wishes().get(0).priority()]++;
                    sizes[got.get(i)]++;
                    places += ballot.place(got.get(i));
                }
            }
            long squares = 0;
            for (long size : sizes) {
                squares += size * size;
            }
            return new Standing(placed, ofClass, squares, places);
        }
    }
}
