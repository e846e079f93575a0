package ample.ledger.standin.seats;

import java.util.ArrayList;
import java.util.List;
import java.util.random.RandomGenerator;

/** What students wish of whom no more is known: groups that stand first in their round are wished more. */
final class SimulatedWishes {

    private static final int MOST = 5;

    private final RandomGenerator dice;

    /** @param dice whatever it gives decides; the same gives the same */
    SimulatedWishes(RandomGenerator dice) {
        this.dice = dice;
    }

    /**
     * What one of them wishes.
     *
     * @param groups that they can have, in the order of the round
     * @return the most wished first; none where there are none
     */
    List<String> ranked(List<String> groups) {
        List<String> left = new ArrayList<>(groups);
        List<String> ranked = new ArrayList<>();
        int most = 1 + dice.nextInt(MOST);
        while (ranked.size() < most && !left.isEmpty()) {
            // Of two numbers the lower one: the first of n comes up about twice as often as the middle one.
            ranked.add(left.remove(Math.min(dice.nextInt(left.size()), dice.nextInt(left.size()))));
        }
        return ranked;
    }
}
