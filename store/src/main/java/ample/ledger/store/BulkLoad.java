package ample.ledger.store;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.exchange.BundleTable;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.LocalTime;
import org.jspecify.annotations.Nullable;
import org.postgresql.PGConnection;
import org.postgresql.copy.PGCopyOutputStream;

/** Loads the rows of a table with PostgreSQL's {@code COPY}, in its text form. */
final class BulkLoad {

    private static final int BUFFER_BYTES = 1 << 16;

    private BulkLoad() {}

    /** @param connection in a transaction; nothing is committed here */
    static void load(Connection connection, long edition, BundleTable table) throws SQLException, IOException {
        if (table.rows().isEmpty()) {
            return;
        }
        // The names are those of the bundle's format, and of nothing else.
        String copy = "COPY %s (edition_id, posted_row, %s) FROM STDIN"
                .formatted(
                        table.schema().name(), String.join(", ", table.schema().columnNames()));
        try (Writer out = new OutputStreamWriter(
                new PGCopyOutputStream(connection.unwrap(PGConnection.class), copy, BUFFER_BYTES),
                StandardCharsets.UTF_8)) {
            int posted = 0;
            for (BundleTable.Row row : table.rows()) {
                posted++;
                out.write(edition + "\t" + posted);
                for (Object cell : row.cells()) {
                    out.write('\t');
                    out.write(text(cell));
                }
                out.write('\n');
            }
        }
    }

    private static String text(@Nullable Object cell) {
        if (cell == null) {
            return "\\N";
        }
        if (cell instanceof BigDecimal number) {
            return number.toPlainString();
        }
        if (cell instanceof LocalTime time) {
            return ClockTime.formatForPrograms(time);
        }
        // Cells hold no control character but the line feed.
        return cell instanceof String text && (text.indexOf('\\') >= 0 || text.indexOf('\n') >= 0)
                ? text.replace("\\", "\\\\").replace("\n", "\\n")
                : cell.toString();
    }
}
