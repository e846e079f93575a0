package ample.ledger.core.registrar.round;

import ample.ledger.core.schedule.WishRound.Rule;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Groups with places, and the ballots of those who wish them: all that a distribution follows from.
 *
 * @param rule by which the places are distributed
 * @param even whether groups are to be as near in size as may be; only where as many as possible are placed
 */
public record Contest(Rule rule, boolean even, List<Group> groups, List<Ballot> ballots) {

    /**
     * What can be wished.
     *
     * @param code by which the round knows it
     * @param places 0 or more
     * @param least the group does not come about with fewer students than this; 0 where it comes about in any case
     */
    public record Group(String code, int places, int least) {

        /** @throws IllegalArgumentException for numbers below 0, and for a least size for which there are no places */
        public Group {
            if (places < 0 || least < 0 || least > places) {
                throw new IllegalArgumentException(
                        "%s: %d places cannot have a least size of %d".formatted(code, places, least));
            }
        }
    }

    /**
     * @throws IllegalArgumentException where two ballots are of one student or have one draw, and where a ballot wishes a group that is not there. Also for
     *     groups that are to be even by priority, and for a student of two classes where the most are to be placed
     */
    public Contest {
        groups = List.copyOf(groups);
        ballots = List.copyOf(ballots);
        if (even && rule == Rule.BY_PRIORITY) {
            throw new IllegalArgumentException("By priority, groups cannot be filled evenly");
        }
        Set<Object> seen = new HashSet<>();
        for (Ballot ballot : ballots) {
            if (!seen.add(ballot.student()) || !seen.add(ballot.draw())) {
                throw new IllegalArgumentException(ballot.student() + " has two ballots, or the draw of somebody else");
            }
            for (Ballot.Wish wish : ballot.wishes()) {
                if (wish.group() >= groups.size()) {
                    throw new IllegalArgumentException(
                            "%s wishes group %d of %d".formatted(ballot.student(), wish.group(), groups.size()));
                }
                if (rule == Rule.MOST_PLACED
                        && wish.priority() != ballot.wishes().get(0).priority()) {
                    throw new IllegalArgumentException(ballot.student() + " has two classes of priority");
                }
            }
        }
    }

    /** The same with other places in one group. */
    Contest withPlaces(int group, int places) {
        return with(
                group,
                new Group(
                        groups.get(group).code(),
                        places,
                        Math.min(places, groups.get(group).least())));
    }

    private Contest with(int group, Group other) {
        List<Group> all = new java.util.ArrayList<>(groups);
        all.set(group, other);
        return new Contest(rule, even, all, ballots);
    }

    Contest withBallots(List<Ballot> others) {
        return new Contest(rule, even, groups, others);
    }
}
