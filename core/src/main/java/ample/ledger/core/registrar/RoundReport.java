package ample.ledger.core.registrar;

import ample.ledger.core.registrar.round.Ballot;
import ample.ledger.core.registrar.round.Contest;
import ample.ledger.core.registrar.round.Distribution;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A wish round as a whole, without names.
 *
 * @param term the code of the term
 * @param round the code of the round
 * @param commitment the digest of the seed of its lottery, in hexadecimal digits
 * @param seed published when the places are distributed; empty before
 * @param decided when they were; empty before: then the report tells how it would come out with the wishes so far, by another lottery
 * @param students who have wishes that count
 * @param struck wishes that do not count
 * @param placed students who have a place by the distribution
 * @param placedAt how many got their first wish, their second, and so on
 */
public record RoundReport(
        String term,
        String round,
        String commitment,
        Optional<String> seed,
        Optional<Instant> decided,
        int students,
        int struck,
        int placed,
        List<Integer> placedAt,
        List<OfGroup> groups) {

    public RoundReport {
        placedAt = List.copyOf(placedAt);
        groups = List.copyOf(groups);
    }

    /**
     * A group.
     *
     * @param group its code
     * @param places that could be given
     * @param least with fewer students it does not come about
     * @param wished how many wish it at all
     * @param first how many wish it most
     * @param got how many get a place
     * @param closedWith how many would have been in it, where it does not come about
     */
    public record OfGroup(
            String group, int places, int least, int wished, int first, int got, Optional<Integer> closedWith) {}

    /** Of a distribution. */
    public static RoundReport of(
            String term,
            String round,
            String commitment,
            Optional<String> seed,
            Optional<Instant> decided,
            Distribution distribution,
            int struck) {
        Contest contest = distribution.contest();
        int longest = contest.ballots().stream()
                .mapToInt(ballot -> ballot.wishes().size())
                .max()
                .orElse(0);
        return new RoundReport(
                term,
                round,
                commitment,
                seed,
                decided,
                contest.ballots().size(),
                struck,
                distribution.placed(),
                IntStream.range(0, longest).mapToObj(distribution::placedAt).toList(),
                IntStream.range(0, contest.groups().size())
                        .mapToObj(group -> ofGroup(distribution, group))
                        .toList());
    }

    private static OfGroup ofGroup(Distribution distribution, int group) {
        Contest.Group its = distribution.contest().groups().get(group);
        List<Ballot> ballots = distribution.contest().ballots();
        return new OfGroup(
                its.code(),
                its.places(),
                its.least(),
                (int) ballots.stream()
                        .filter(ballot -> ballot.place(group) >= 0)
                        .count(),
                (int) ballots.stream()
                        .filter(ballot -> ballot.place(group) == 0)
                        .count(),
                distribution.size(group),
                distribution.closed(group).map(Distribution.Closed::students));
    }

    /** By how many students the largest and the smallest group differ that come about; 0 where fewer than two do. */
    public int difference() {
        List<Integer> sizes = groups.stream()
                .filter(group -> group.places() > 0 && group.closedWith().isEmpty())
                .map(OfGroup::got)
                .sorted()
                .toList();
        return sizes.isEmpty() ? 0 : sizes.get(sizes.size() - 1) - sizes.get(0);
    }
}
