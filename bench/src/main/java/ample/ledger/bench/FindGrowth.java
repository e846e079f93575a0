package ample.ledger.bench;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.index.TermIndex;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.LongSupplier;

/**
 * How the time of finding grows with the number of sections, beside its floor. The sizes take turns in one process: measured
 * one after the other, minutes apart, what other users of the machine do in between counts as growth.
 */
final class FindGrowth {

    private static final int[] SIZES = {2_400, 20_000, 100_000};
    private static final int WARM_UP = 60;
    private static final int SHOTS = 60;

    private FindGrowth() {}

    /** Of one size, the times of each shot in milliseconds. */
    private record Times(int sections, double[] ledger, double[] floor) {}

    private static volatile Object sink;

    static void measure() {
        List<Runnable> turns = new ArrayList<>();
        List<Times> times = Arrays.stream(SIZES)
                .mapToObj(size -> {
                    TermIndex index = FindBenchmark.index(size);
                    List<Brief> mix = BriefMix.of(index);
                    long[][] bitmaps = FindBenchmark.bitmaps(index);
                    int sections = index.schedule().sections().size();
                    Times of = new Times(sections, new double[WARM_UP + SHOTS], new double[WARM_UP + SHOTS]);
                    int[] shot = {0};
                    turns.add(() -> {
                        of.ledger[shot[0]] = milliseconds(() -> {
                            FindBenchmark.answer(index, mix, part -> sink = part);
                            return 0;
                        });
                        of.floor[shot[0]++] = milliseconds(() -> FindBenchmark.passes(bitmaps, mix));
                    });
                    return of;
                })
                .toList();
        for (int shot = 0; shot < WARM_UP + SHOTS; shot++) {
            turns.forEach(Runnable::run);
        }
        System.out.println("\n| sections, growth | ledger, ms | growth | floor, ms | growth | ledger to floor |");
        System.out.println("|---|---|---|---|---|---|");
        for (int i = 0; i < SIZES.length; i++) {
            Times of = times.get(i);
            Times before = times.get(Math.max(i - 1, 0));
            System.out.println(String.format(
                    Locale.ENGLISH,
                    "| %,d, %.2f | %.1f | %.2f | %.1f | %.2f | %.2f |",
                    of.sections,
                    of.sections / (double) before.sections,
                    median(of.ledger),
                    median(of.ledger) / median(before.ledger),
                    median(of.floor),
                    median(of.floor) / median(before.floor),
                    median(of.ledger) / median(of.floor)));
        }
    }

    private static double milliseconds(LongSupplier work) {
        long start = System.nanoTime();
        sink = work.getAsLong();
        return (System.nanoTime() - start) / 1e6;
    }

    private static double median(double[] shots) {
        double[] sorted = Arrays.stream(shots).skip(WARM_UP).sorted().toArray();
        return sorted[SHOTS / 2];
    }
}
