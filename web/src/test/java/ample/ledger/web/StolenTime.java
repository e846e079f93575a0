package ample.ledger.web;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import java.util.NavigableMap;
import java.util.StringTokenizer;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/**
 * How much of the machine others had while something was measured: the time that the processors would have worked and that the host
 * gave to other guests, as Linux counts it (proc(5), the field "steal"). It is read over and over until closed, so that it can be
 * told for each moment too.
 */
public final class StolenTime implements AutoCloseable {

    private static final Path STAT = Path.of("/proc/stat");
    private static final int IDLE = 3;
    private static final int WAITING = 4;
    private static final int STEAL = 7;

    /** Linux counts in hundredths of a second, whatever its own clock ticks in. */
    private static final int TICK = 10;

    private final long[] start = times();

    /** What was stolen up to each moment, in ticks; the moments in milliseconds since 1970. */
    private final NavigableMap<Long, Long> stolen = new ConcurrentSkipListMap<>();

    private final ScheduledExecutorService watch = Executors.newSingleThreadScheduledExecutor();

    @SuppressWarnings("FutureReturnValueIgnored") // It goes on until it is stopped.
    public StolenTime() {
        if (start.length > STEAL) {
            watch.scheduleAtFixedRate(
                    () -> stolen.put(System.currentTimeMillis(), times()[STEAL]), 0, 2 * TICK, TimeUnit.MILLISECONDS);
        }
    }

    /**
     * @param from in milliseconds since 1970
     * @param to likewise
     * @return what others had of all processors together meanwhile, in milliseconds, to about 30; 0 where it is not counted
     */
    long between(long from, long to) {
        Map.Entry<Long, Long> before = stolen.floorEntry(from);
        Map.Entry<Long, Long> after = stolen.ceilingEntry(to);
        return before == null || after == null ? 0 : (after.getValue() - before.getValue()) * TICK;
    }

    @Override
    public void close() {
        watch.shutdownNow();
    }

    /** "12% of the processors' working time went to others"; empty where the system does not count it. */
    public String inWords() {
        long[] end = times();
        if (end.length <= STEAL) {
            return "";
        }
        long busy = 0;
        for (int i = 0; i <= STEAL; i++) {
            busy += i == IDLE || i == WAITING ? 0 : end[i] - start[i];
        }
        return String.format(
                Locale.ENGLISH,
                "%.0f%% of the processors' working time went to others",
                100.0 * (end[STEAL] - start[STEAL]) / Math.max(1, busy));
    }

    private static long[] times() {
        if (!Files.isReadable(STAT)) {
            return new long[0];
        }
        // Only the first line, and little to compile: this goes on beside what is measured.
        try (BufferedReader all = Files.newBufferedReader(STAT)) {
            StringTokenizer line = new StringTokenizer(all.readLine());
            line.nextToken();
            long[] times = new long[line.countTokens()];
            for (int i = 0; i < times.length; i++) {
                times[i] = Long.parseLong(line.nextToken());
            }
            return times;
        } catch (IOException e) {
            throw new UncheckedIOException("How much time is stolen cannot be read", e);
        }
    }
}
