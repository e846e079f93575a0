package ample.ledger.core.weave;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.constraints.extension.Tuples;
import org.chocosolver.solver.variables.IntVar;

class CompatibilityTest {

    /** How many ways n queens stand on a board of n by n: OEIS A000170 (from memory). */
    private static final long[] QUEENS = {1, 1, 0, 0, 2, 10, 4, 40, 92, 352};

    @Example
    void queensStandInAsManyWaysAsIsPublished() {
        for (int n = 1; n < QUEENS.length; n++) {
            assertThat(queens(n).count(ones(n * n), Watch.NOBODY))
                    .as(n + " queens")
                    .isEqualTo(new Compatibility.Count(QUEENS[n], QUEENS[n], true));
            assertThat(queens(n).possible(queens(n).all(), groups(n))).isEqualTo(QUEENS[n] > 0);
        }
    }

    @Property(tries = 1500)
    void countsWhatChocoCounts(@ForAll @IntRange(max = Integer.MAX_VALUE - 1) int seed) {
        Random dice = new Random(seed);
        int[] sizes = dice.ints(1 + dice.nextInt(4), 1, 6).toArray();
        int options = Arrays.stream(sizes).sum();
        boolean[][] together = new boolean[options][options];
        for (int one = 0; one < options; one++) {
            for (int other = one + 1; other < options; other++) {
                together[one][other] = dice.nextInt(100) < 65;
                together[other][one] = together[one][other];
            }
        }
        int[] weights = dice.ints(options, 1, 4).toArray();
        Compatibility compatibility = new Compatibility(sizes, (one, other) -> together[one][other]);

        long[] counted = choco(compatibility, sizes, together, weights);

        assertThat(compatibility.count(weights, Watch.NOBODY))
                .isEqualTo(new Compatibility.Count(counted[0], counted[1], true));
        assertThat(compatibility.possible(compatibility.all(), groups(sizes.length)))
                .isEqualTo(counted[0] > 0);
    }

    @Example
    void aCountThatIsStoppedSaysWhatItHas() {
        Random dice = new Random(3);
        Compatibility open = new Compatibility(
                new int[] {60, 60, 60, 60, 60, 60, 60, 60, 60}, (one, other) -> dice.nextInt(100) < 70);
        Watch impatient = new Watch() {
            private int asked;

            @Override
            public boolean stopped() {
                return ++asked > 1;
            }

            @Override
            public void reached(double share) {
                assertThat(share).isBetween(0.0, 1.0);
            }
        };

        Compatibility.Count count = open.count(ones(540), impatient);

        assertThat(count.exact()).isFalse();
        assertThat(count.choices()).isPositive();
    }

    @Example
    void whatIsBeyondANumberIsNotExact() {
        Compatibility everything = new Compatibility(new int[] {10, 10}, (one, other) -> true);
        int[] heavy = new int[20];
        Arrays.fill(heavy, Integer.MAX_VALUE);

        assertThat(everything.count(heavy, Watch.NOBODY).exact()).isFalse();
    }

    private static long[] choco(Compatibility compatibility, int[] sizes, boolean[][] together, int[] weights) {
        Model model = new Model();
        IntVar[] groups = new IntVar[sizes.length];
        for (int group = 0; group < sizes.length; group++) {
            groups[group] = model.intVar(compatibility.firstOf(group), compatibility.firstOf(group) + sizes[group] - 1);
        }
        for (int group = 0; group < sizes.length; group++) {
            for (int later = group + 1; later < sizes.length; later++) {
                Tuples tuples = new Tuples(true);
                for (int one = groups[group].getLB(); one <= groups[group].getUB(); one++) {
                    for (int other = groups[later].getLB(); other <= groups[later].getUB(); other++) {
                        if (together[one][other]) {
                            tuples.add(one, other);
                        }
                    }
                }
                if (tuples.nbTuples() == 0) {
                    return new long[2];
                }
                model.table(groups[group], groups[later], tuples).post();
            }
        }
        long[] counted = new long[2];
        while (model.getSolver().solve()) {
            counted[0]++;
            counted[1] += Arrays.stream(groups)
                    .mapToLong(group -> weights[group.getValue()])
                    .reduce(1, (one, other) -> one * other);
        }
        return counted;
    }

    /** One queen a row; the option is its column. */
    private static Compatibility queens(int n) {
        int[] sizes = new int[n];
        Arrays.fill(sizes, n);
        return new Compatibility(
                sizes,
                (one, other) -> one % n != other % n && Math.abs(one % n - other % n) != Math.abs(one / n - other / n));
    }

    private static int[] ones(int count) {
        int[] ones = new int[count];
        Arrays.fill(ones, 1);
        return ones;
    }

    private static int[] groups(int count) {
        int[] groups = new int[count];
        Arrays.setAll(groups, group -> group);
        return groups;
    }
}
