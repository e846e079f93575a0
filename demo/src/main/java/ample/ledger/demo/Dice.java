package ample.ledger.demo;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.function.Supplier;
import java.util.function.ToIntFunction;

/** Chance, the same on every machine for the same seed. */
final class Dice {

    private final Random random;

    Dice(long seed) {
        random = new Random(seed);
    }

    /** From {@code least} to {@code most}, both included. */
    int between(int least, int most) {
        return least + random.nextInt(most - least + 1);
    }

    /** True that often: 0 to 1. */
    boolean chance(double probability) {
        return random.nextDouble() < probability;
    }

    /** Around 0, mostly within one; the mean of twelve evenly spread numbers is near enough to a bell. */
    double bell() {
        double sum = 0;
        for (int i = 0; i < 12; i++) {
            sum += random.nextDouble();
        }
        return sum - 6;
    }

    <T> List<T> shuffled(List<T> list) {
        List<T> shuffled = new ArrayList<>(list);
        Collections.shuffle(shuffled, random);
        return shuffled;
    }

    <T> T of(List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    /** One of the list, each as often as its weight says; of a long list that is drawn from again and again, see {@link #drawing}. */
    <T> T of(List<T> list, ToIntFunction<T> weight) {
        return drawing(list, weight).get();
    }

    /**
     * Draws from the list, each as often as its weight says. A draw costs the logarithm of its length.
     *
     * @param weight 1 or more
     */
    <T> Supplier<T> drawing(List<T> list, ToIntFunction<T> weight) {
        int[] sums = list.stream().mapToInt(weight).toArray();
        Arrays.parallelPrefix(sums, Integer::sum);
        return () -> {
            int at = Arrays.binarySearch(sums, random.nextInt(sums[sums.length - 1]) + 1);
            return list.get(at < 0 ? -at - 1 : at);
        };
    }
}
