package ample.ledger.core.exchange;

import ample.ledger.core.calendar.ClockTime;
import java.math.BigDecimal;
import java.time.LocalTime;
import org.jspecify.annotations.Nullable;

/** Writes a cell as {@link CellReader} reads it. */
final class CellWriter {

    private CellWriter() {}

    /** Empty for an empty cell. Numbers keep the decimals they came with. */
    static String text(@Nullable Object cell) {
        if (cell == null) {
            return "";
        }
        if (cell instanceof LocalTime time) {
            return ClockTime.formatForPrograms(time);
        }
        return cell instanceof BigDecimal number ? number.toPlainString() : cell.toString();
    }
}
