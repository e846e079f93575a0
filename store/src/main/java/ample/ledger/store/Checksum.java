package ample.ledger.store;

import ample.ledger.core.exchange.BundleFormat;
import ample.ledger.core.exchange.BundleTable;
import ample.ledger.core.exchange.BundleTables;
import ample.ledger.core.exchange.TableSchema;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** The SHA-256 of everything that the tables of a bundle say, whatever their files look like otherwise. */
final class Checksum {

    private static final byte CELL_ENDS = 0x1F;
    private static final byte ROW_ENDS = 0x1E;
    private static final byte TABLE_ENDS = 0x1D;

    private Checksum() {}

    /** In lower-case hexadecimal digits. */
    static String of(BundleTables tables) {
        MessageDigest digest = sha256();
        for (TableSchema schema : BundleFormat.current().tables()) {
            digest.update(schema.name().getBytes(StandardCharsets.UTF_8));
            for (BundleTable.Row row : tables.rows(schema.name())) {
                for (Object cell : row.cells()) {
                    // Cells hold no control characters, so the separators cannot stand in one.
                    digest.update((cell == null ? "" : cell.toString()).getBytes(StandardCharsets.UTF_8));
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
