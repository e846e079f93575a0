package ample.ledger.core.exchange;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

/** Writes a cell as {@link CellReader} reads it. */
final class CellWriter {

    private CellWriter() {}

    /** Empty for an empty cell. Numbers keep the decimals they came with. */
    static String text(@Nullable Object cell) {
        if (cell == null) {
            return "";
        }
        // LocalTime leaves seconds out where they are 0, and no cell has any.
        return cell instanceof BigDecimal number ? number.toPlainString() : cell.toString();
    }
}
