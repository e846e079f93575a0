package ample.ledger.web.trial;

import java.util.Locale;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.DoubleAccumulator;

/** What was noticed from outside during one part of the trial. */
final class Part {

    /** The columns of {@link #row()}. */
    static final String HEAD = """
            | meanwhile | pages read | lost | median, 95th percentile, ms | plans changed | put off first | longest, s | registrations | put off first | longest, s | streams ended | open again after, s |
            |---|---|---|---|---|---|---|---|---|---|---|---|""";

    /** Only the first pages that are lost are printed: what loses one loses many. */
    private static final int SHOWN = 3;

    private final String name;
    private final ConcurrentLinkedQueue<Double> reads = new ConcurrentLinkedQueue<>();
    private final AtomicInteger lost = new AtomicInteger();
    private final Written plans = new Written();
    private final Written registrations = new Written();
    private final AtomicInteger ended = new AtomicInteger();
    private final DoubleAccumulator away = new DoubleAccumulator(Math::max, 0);

    /** What was asked to be written, and was confirmed in the end. */
    static final class Written {

        private final AtomicInteger confirmed = new AtomicInteger();
        private final AtomicInteger putOff = new AtomicInteger();
        private final DoubleAccumulator longest = new DoubleAccumulator(Math::max, 0);

        /**
         * @param seconds since it was asked for first
         * @param again whether it had to be asked for again
         */
        void confirmed(double seconds, boolean again) {
            confirmed.incrementAndGet();
            if (again) {
                putOff.incrementAndGet();
            }
            longest.accumulate(seconds);
        }

        double longest() {
            return longest.get();
        }

        private String cells() {
            return String.format(Locale.ENGLISH, "%,d | %d | %.1f", confirmed.get(), putOff.get(), longest.get());
        }
    }

    Part(String name) {
        this.name = name;
    }

    /** A page was there, so long after it was asked for. */
    void read(double milliseconds) {
        reads.add(milliseconds);
    }

    /** A page was not there, or was not whole. */
    void lost(String why) {
        if (lost.incrementAndGet() <= SHOWN) {
            System.err.printf("  lost while %s: %s%n", name, why);
        }
    }

    Written plans() {
        return plans;
    }

    Written registrations() {
        return registrations;
    }

    /** Whether the institution's own programs are away, without which nobody can register. */
    boolean isWithoutInstitution() {
        return name.startsWith("the institution");
    }

    void streamEnded() {
        ended.incrementAndGet();
    }

    void streamBack(double seconds) {
        away.accumulate(seconds);
    }

    int lost() {
        return lost.get();
    }

    String row() {
        double[] times =
                reads.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        return String.format(
                Locale.ENGLISH,
                "| %s | %,d | %d | %.0f, %.0f | %s | %s | %d | %s |",
                name,
                times.length,
                lost.get(),
                percentile(times, 50),
                percentile(times, 95),
                plans.cells(),
                registrations.cells(),
                ended.get(),
                ended.get() == 0 ? "" : String.format(Locale.ENGLISH, "%.1f", away.get()));
    }

    private static double percentile(double[] sorted, int percent) {
        return sorted.length == 0 ? Double.NaN : sorted[Math.min(sorted.length - 1, sorted.length * percent / 100)];
    }
}
