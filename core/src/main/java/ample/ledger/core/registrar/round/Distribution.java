package ample.ledger.core.registrar.round;

import ample.ledger.core.registrar.round.Contest.Group;
import ample.ledger.core.schedule.WishRound.Rule;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Who gets what. It follows from the contest alone: whoever has the ballots and the draws can work it out again.
 *
 * @param got for each ballot the position of the group; -1 for none
 * @param closed the groups that do not come about, in the order in which they were closed
 */
public record Distribution(Contest contest, List<Integer> got, List<Closed> closed) {

    /**
     * A group that does not come about.
     *
     * @param group its position
     * @param students how many would have been in it
     */
    public record Closed(int group, int students) {}

    public Distribution {
        got = List.copyOf(got);
        closed = List.copyOf(closed);
    }

    /**
     * Distributes the places.
     *
     * <p>Where groups stay under their least size, the one that lacks the most students is closed, of those the one with fewest students, of those the
     * last; and everything is distributed again among the rest. So at most as many distributions are made as there are groups with a least
     * size, and one more. Which groups to close so that the most get a place is hard to find (it is a problem of covering); closing the weakest is what
     * people do by hand (common practice, no source).
     *
     * <p>Cost: of {@link MostPlaced} or {@link ByPriority}, each time.
     */
    public static Distribution of(Contest contest) {
        Contest open = contest;
        List<Closed> closed = new ArrayList<>();
        while (true) {
            int[] got = open.rule() == Rule.MOST_PLACED ? MostPlaced.distribute(open) : ByPriority.distribute(open);
            int[] sizes = sizes(contest.groups().size(), got);
            int weakest = weakest(open.groups(), sizes);
            if (weakest < 0) {
                return new Distribution(contest, Arrays.stream(got).boxed().toList(), closed);
            }
            closed.add(new Closed(weakest, sizes[weakest]));
            open = open.withPlaces(weakest, 0);
        }
    }

    private static int[] sizes(int groups, int[] got) {
        int[] sizes = new int[groups];
        for (int group : got) {
            if (group >= 0) {
                sizes[group]++;
            }
        }
        return sizes;
    }

    private static int weakest(List<Group> groups, int[] sizes) {
        int weakest = -1;
        for (int group = 0; group < sizes.length; group++) {
            int lacks = groups.get(group).least() - sizes[group];
            if (lacks > 0 && (weakest < 0 || isWeaker(lacks, sizes[group], groups, sizes, weakest))) {
                weakest = group;
            }
        }
        return weakest;
    }

    private static boolean isWeaker(int lacks, int size, List<Group> groups, int[] sizes, int than) {
        int others = groups.get(than).least() - sizes[than];
        return lacks > others || lacks == others && size <= sizes[than];
    }

    /** The contest as it was in the end, with no places in groups that were closed. */
    Contest open() {
        Contest open = contest;
        for (Closed each : closed) {
            open = open.withPlaces(each.group(), 0);
        }
        return open;
    }

    /** Whether a group was closed, and with how many students. */
    public Optional<Closed> closed(int group) {
        return closed.stream().filter(each -> each.group() == group).findFirst();
    }

    /** At which place of their ballot a student's group is, from 0; -1 for none. */
    public int place(int ballot) {
        return got.get(ballot) < 0 ? -1 : contest.ballots().get(ballot).place(got.get(ballot));
    }

    /** How many students a group has. */
    public int size(int group) {
        return (int) got.stream().filter(each -> each == group).count();
    }

    /** How many students got a place. */
    public int placed() {
        return (int) got.stream().filter(each -> each >= 0).count();
    }

    /** How many got the wish at this place of their ballots, from 0. */
    public int placedAt(int place) {
        int count = 0;
        for (int ballot = 0; ballot < got.size(); ballot++) {
            if (got.get(ballot) >= 0 && place(ballot) == place) {
                count++;
            }
        }
        return count;
    }
}
