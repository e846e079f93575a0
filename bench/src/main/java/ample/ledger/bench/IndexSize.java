package ample.ledger.bench;

import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.exchange.BundleTables;
import ample.ledger.core.exchange.BundleWriter;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.demo.DemoBundles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Locale;
import org.openjdk.jol.info.GraphLayout;

/**
 * How large the index of a large term is, and how long it takes to build: the size beside that of its schedule, the time
 * beside that of reading its bundle.
 */
final class IndexSize {

    private static final int SECTIONS = 100_000;
    private static final int SHOTS = 5;

    private IndexSize() {}

    static void measure() throws IOException {
        BundleTables tables = new DemoBundles(Path.of("demo/kernel"), 2031).autumn(SECTIONS);
        Schedule schedule = ScheduleBundle.of(tables).schedule();
        Path zip = Files.createTempFile("bench", ".zip");
        double[] building = new double[SHOTS];
        double[] reading = new double[SHOTS];
        try {
            try (var out = Files.newOutputStream(zip)) {
                BundleWriter.toZip(tables, out);
            }
            TermIndex index = null;
            for (int shot = 0; shot < SHOTS; shot++) {
                long start = System.nanoTime();
                ScheduleBundle.read(zip);
                long read = System.nanoTime();
                index = new TermIndex(schedule, LocalDate.of(2031, 6, 17));
                reading[shot] = (read - start) / 1e6;
                building[shot] = (System.nanoTime() - read) / 1e6;
            }
            Arrays.sort(building);
            Arrays.sort(reading);
            long bytes = GraphLayout.parseInstance(index)
                    .subtract(GraphLayout.parseInstance(schedule))
                    .totalSize();
            System.out.printf(
                    Locale.ENGLISH,
                    "%nAn index of %,d sections: %.1f MB beside its schedule (JOL); built in %,.0f ms (median of %d),"
                            + " its rows read from their bundle in %,.0f ms: ratio %.2f%n",
                    schedule.sections().size(),
                    bytes / 1e6,
                    building[SHOTS / 2],
                    SHOTS,
                    reading[SHOTS / 2],
                    building[SHOTS / 2] / reading[SHOTS / 2]);
        } finally {
            Files.delete(zip);
        }
    }
}
