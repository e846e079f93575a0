package ample.ledger.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;

/**
 * How much of the machine others had while something was measured: the time that the processors would have worked and that the host
 * gave to other guests, as Linux counts it (proc(5), the field "steal").
 */
final class StolenTime {

    private static final Path STAT = Path.of("/proc/stat");
    private static final int IDLE = 3;
    private static final int WAITING = 4;
    private static final int STEAL = 7;

    private final long[] start = times();

    /** "12% of the processors' working time went to others"; empty where the system does not count it. */
    String inWords() {
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
        try {
            String all = Files.readAllLines(STAT).get(0);
            return Arrays.stream(all.strip().split("\\s+"))
                    .skip(1)
                    .mapToLong(Long::parseLong)
                    .toArray();
        } catch (IOException e) {
            throw new UncheckedIOException("How much time is stolen cannot be read", e);
        }
    }
}
