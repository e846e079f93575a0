package ample.ledger.core.registrar.round;

import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.WishRound;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * All that a distribution came of, and what came of it: whoever has this can work it out again.
 *
 * @param term the code of the term
 * @param round the code of the round
 * @param rule of {@link WishRound.Rule}
 * @param decided when the places were distributed, by the institution's clock
 * @param commitment the digest of the seed, as it was published before the period ended
 * @param classes who comes first, in words; the last is everybody else
 * @param ballots of those of whom a wish counted
 * @param struck wishes that did not count
 * @param closed the groups that do not come about, in the order in which they were closed
 */
public record RoundFile(
        String term,
        String round,
        String rule,
        boolean even,
        Instant decided,
        String seed,
        String commitment,
        List<String> classes,
        List<Contest.Group> groups,
        List<Line> ballots,
        List<Struck> struck,
        List<Closed> closed) {

    public RoundFile {
        classes = List.copyOf(classes);
        groups = List.copyOf(groups);
        ballots = List.copyOf(ballots);
        struck = List.copyOf(struck);
        closed = List.copyOf(closed);
    }

    /**
     * A ballot, and what its student got.
     *
     * @param draw 1 or more
     * @param got the code of a group; empty for none
     */
    public record Line(String student, int draw, List<Wish> wishes, Optional<String> got) {

        public Line {
            wishes = List.copyOf(wishes);
        }
    }

    /**
     * A wish.
     *
     * @param group its code
     * @param priority the class of the student there, 0 for the highest
     */
    public record Wish(String group, int priority) {}

    /**
     * A wish that did not count.
     *
     * @param group its code
     * @param refusals why the student could not have the place
     */
    public record Struck(String student, String group, List<Refusal> refusals) {

        public Struck {
            refusals = List.copyOf(refusals);
        }
    }

    /**
     * A group that does not come about.
     *
     * @param group its code
     * @param students who would have been in it
     */
    public record Closed(String group, int students) {}

    /** What has just been distributed. */
    public static RoundFile of(
            String term,
            WishRound round,
            Instant decided,
            Lottery lottery,
            Distribution distribution,
            List<Struck> struck) {
        Contest contest = distribution.contest();
        List<String> classes = new ArrayList<>();
        round.criteria().forEach(criterion -> classes.add(criterion.name()));
        classes.add("Everybody else");
        return new RoundFile(
                term,
                round.code(),
                contest.rule().code(),
                contest.even(),
                decided,
                lottery.seed(),
                lottery.commitment(),
                classes,
                contest.groups(),
                IntStream.range(0, contest.ballots().size())
                        .mapToObj(i -> line(
                                contest,
                                contest.ballots().get(i),
                                distribution.got().get(i)))
                        .toList(),
                struck,
                distribution.closed().stream()
                        .map(each ->
                                new Closed(contest.groups().get(each.group()).code(), each.students()))
                        .toList());
    }

    private static Line line(Contest contest, Ballot ballot, int got) {
        return new Line(
                ballot.student(),
                ballot.draw(),
                ballot.wishes().stream()
                        .map(wish -> new Wish(contest.groups().get(wish.group()).code(), wish.priority()))
                        .toList(),
                got < 0
                        ? Optional.empty()
                        : Optional.of(contest.groups().get(got).code()));
    }

    /** What the places were distributed by. */
    public Contest contest() {
        return new Contest(
                Coded.parse(WishRound.Rule.class, rule).orElseThrow(),
                even,
                groups,
                ballots.stream()
                        .map(line -> new Ballot(
                                line.student(),
                                line.draw(),
                                line.wishes().stream()
                                        .map(wish -> new Ballot.Wish(position(wish.group()), wish.priority()))
                                        .toList()))
                        .toList());
    }

    /** @throws IllegalArgumentException for a code that no group has */
    private int position(String code) {
        for (int i = 0; i < groups.size(); i++) {
            if (groups.get(i).code().equals(code)) {
                return i;
            }
        }
        throw new IllegalArgumentException("No group is called " + code);
    }

    /** What came of it, as it stands here. */
    public Distribution distribution() {
        return new Distribution(
                contest(),
                ballots.stream()
                        .map(line -> line.got().map(this::position).orElse(-1))
                        .toList(),
                closed.stream()
                        .map(each -> new Distribution.Closed(position(each.group()), each.students()))
                        .toList());
    }

    /**
     * Distributes the places again, from the seed on.
     *
     * @return what comes out otherwise than it stands here, a sentence each; none where all is as it must be
     */
    public List<String> faults() {
        List<String> faults = new ArrayList<>();
        Lottery lottery = new Lottery(seed);
        if (!lottery.commitment().equals(commitment)) {
            faults.add("The digest of the seed is " + lottery.commitment() + ", and not " + commitment + ".");
        }
        Map<String, Integer> draws = lottery.draws(students());
        for (Line line : ballots) {
            int drawn = draws.getOrDefault(line.student(), 0);
            if (line.draw() != drawn) {
                faults.add("%s draws %d, and not %d.".formatted(line.student(), drawn, line.draw()));
            }
        }
        Distribution again = Distribution.of(contest());
        for (int i = 0; i < ballots.size(); i++) {
            Line line = ballots.get(i);
            int got = again.got().get(i);
            String expected = got < 0 ? "no place" : groups.get(got).code();
            if (!expected.equals(line.got().orElse("no place"))) {
                faults.add("%s gets %s, and not %s."
                        .formatted(line.student(), expected, line.got().orElse("no place")));
            }
        }
        return faults;
    }

    /** Everybody who drew: whoever had a wish, whether it counted or not. */
    private List<String> students() {
        List<String> all = new ArrayList<>();
        ballots.forEach(line -> all.add(line.student()));
        struck.stream()
                .map(Struck::student)
                .filter(student -> !all.contains(student))
                .forEach(all::add);
        return all;
    }
}
