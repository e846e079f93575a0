package ample.ledger.core.exchange;

import ample.ledger.core.schedule.Schedule;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;

/**
 * A bundle without a fault: its tables, the schedule that they state, and the checksum of what they say.
 *
 * @param checksum SHA-256 of every cell in order, whatever the files look like otherwise; lower-case hexadecimal digits
 */
public record ScheduleBundle(BundleTables tables, Schedule schedule, String checksum) {

    private static final byte CELL_ENDS = 0x1F;
    private static final byte ROW_ENDS = 0x1E;
    private static final byte TABLE_ENDS = 0x1D;

    /** As {@link #read(Path, Progress)}, with nobody to hear of its progress. */
    public static ScheduleBundle read(Path path) {
        return read(path, Progress.UNHEARD);
    }

    /**
     * The bundle at {@code path}, a folder or a zip.
     *
     * @throws FaultyBundleException naming every fault, the first thousand where there are more
     * @throws java.io.UncheckedIOException when the disk cannot be read
     */
    public static ScheduleBundle read(Path path, Progress progress) {
        BundleReader.Reading reading = BundleReader.read(path, progress);
        if (reading.faults().isEmpty()) {
            return of(reading.tables());
        }
        List<Fault> all = new ArrayList<>(reading.faults());
        all.addAll(ScheduleAssembler.faultsOf(reading.tables(), reading.incomplete()));
        throw new FaultyBundleException(all);
    }

    /**
     * The bundle of these tables.
     *
     * @throws FaultyBundleException naming every fault, when they do not make a schedule
     */
    public static ScheduleBundle of(BundleTables tables) {
        return new ScheduleBundle(tables, scheduleOf(tables), checksum(tables));
    }

    /**
     * The schedule alone, without the cost of a checksum.
     *
     * @throws FaultyBundleException naming every fault, when the tables do not make a schedule
     */
    public static Schedule scheduleOf(BundleTables tables) {
        return ScheduleAssembler.assemble(tables);
    }

    private static String checksum(BundleTables tables) {
        MessageDigest digest = sha256();
        for (TableSchema schema : BundleFormat.current().tables()) {
            digest.update(schema.name().getBytes(StandardCharsets.UTF_8));
            for (BundleTable.Row row : tables.rows(schema.name())) {
                for (Object cell : row.cells()) {
                    // Cells hold no control characters, so the separators cannot stand in one.
                    digest.update(CellWriter.text(cell).getBytes(StandardCharsets.UTF_8));
                    digest.update(CELL_ENDS);
                }
                digest.update(ROW_ENDS);
            }
            digest.update(TABLE_ENDS);
        }
        return HexFormat.of().formatHex(digest.digest());
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
