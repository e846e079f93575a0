package ample.ledger.core.exchange;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.WrittenDate;
import ample.ledger.core.exchange.TableSchema.Column;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Reads the text of one cell as its column says, or says what would be right. */
final class CellReader {

    /** What came of one cell: a value, or nothing because it was empty or because of a fault. */
    record Reading(@Nullable Object value, Optional<String> fault) {

        static Reading of(@Nullable Object value) {
            return new Reading(value, Optional.empty());
        }

        static Reading faulty(String sentence) {
            return new Reading(null, Optional.of(sentence));
        }
    }

    private static final int LONGEST_CELL = 10_000;

    private static final Pattern TIME = Pattern.compile("[0-9]{2}:[0-9]{2}");

    // The bounds on length keep exponents and endless digits out before they cost anything.
    private static final Pattern WHOLE = Pattern.compile("-?[0-9]{1,9}");
    private static final Pattern DECIMAL = Pattern.compile("-?[0-9]{1,9}(\\.[0-9]{1,9})?");

    private CellReader() {}

    static Reading read(Column column, String text) {
        if (text.isEmpty()) {
            return column.required()
                    ? Reading.faulty("This cell must not be empty" + forExample(column))
                    : Reading.of(null);
        }
        if (text.length() > LONGEST_CELL) {
            return Reading.faulty(
                    "A cell holds at most %,d characters; this one has %,d.".formatted(LONGEST_CELL, text.length()));
        }
        if (text.chars().anyMatch(c -> Character.isISOControl(c) && c != '\n')) {
            return Reading.faulty("It holds a control character; plain text is wanted" + forExample(column));
        }
        if (!column.values().isEmpty() && !column.values().contains(text)) {
            return Reading.faulty("It must be one of: " + String.join(", ", column.values()) + ".");
        }
        if (column.pattern() != null && !column.pattern().matcher(text).matches()) {
            return Reading.faulty("It is not of the form " + column.pattern() + forExample(column));
        }
        return typed(column, text);
    }

    private static Reading typed(Column column, String text) {
        return switch (column.type()) {
            case STRING -> text(column, text);
            case INTEGER -> number(column, text, "a whole number", true);
            case NUMBER -> number(column, text, "a number", false);
            case DATE -> date(column, text);
            case TIME -> time(column, text);
            case BOOLEAN ->
                text.equals("true") || text.equals("false")
                        ? Reading.of(Boolean.valueOf(text))
                        : Reading.faulty("It must be true or false.");
        };
    }

    /** Only what ends can be at the end of a day. */
    private static Reading time(Column column, String text) {
        boolean end = column.name().equals("ends");
        Optional<LocalTime> time = TIME.matcher(text).matches()
                ? end ? ClockTime.parseEnd(text) : ClockTime.parse(text)
                : Optional.empty();
        return time.map(Reading::of)
                .orElseGet(() ->
                        Reading.faulty("It is not a time from 00:00 to %s, as hh:mm".formatted(end ? "24:00" : "23:59")
                                + forExample(column)));
    }

    /** Text that a spreadsheet would take for a formula stays out, since what is posted is handed on as CSV. */
    private static Reading text(Column column, String text) {
        char first = text.charAt(0);
        boolean formula = first == '='
                || first == '@'
                || (first == '+' || first == '-') && text.length() > 1 && text.charAt(1) != ' ';
        return formula
                ? Reading.faulty(
                        "It begins with “%s”, and a spreadsheet would run it as a formula; begin with a letter%s"
                                .formatted(first, forExample(column)))
                : Reading.of(text);
    }

    private static Reading number(Column column, String text, String wanted, boolean whole) {
        if (!(whole ? WHOLE : DECIMAL).matcher(text).matches()) {
            return Reading.faulty("It is not " + wanted + forExample(column));
        }
        BigDecimal number = new BigDecimal(text);
        if (column.minimum() != null && number.compareTo(column.minimum()) < 0) {
            return Reading.faulty("It must be at least " + column.minimum().toPlainString() + ".");
        }
        if (column.maximum() != null && number.compareTo(column.maximum()) > 0) {
            return Reading.faulty("It must be at most " + column.maximum().toPlainString() + ".");
        }
        return Reading.of(whole ? (Object) number.intValueExact() : number);
    }

    private static Reading date(Column column, String text) {
        Optional<LocalDate> date = WrittenDate.parse(text);
        return date.isPresent()
                ? Reading.of(date.get())
                : Reading.faulty("It is not a date of the calendar, as yyyy-mm-dd" + forExample(column));
    }

    private static String forExample(Column column) {
        return column.example().isEmpty() ? "." : ", as in " + column.example() + ".";
    }
}
