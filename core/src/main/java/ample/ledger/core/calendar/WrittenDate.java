package ample.ledger.core.calendar;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * How a date is written and read: {@code 2031-09-08}, as ISO 8601 has it. Years outside 1900 to 2199 are not read: they are mistyped, or
 * meant to make a program walk through millions of days.
 */
public final class WrittenDate {

    private static final Pattern FORM = Pattern.compile("(19|20|21)\\d\\d-\\d\\d-\\d\\d");

    private WrittenDate() {}

    /** The date; empty for anything else, 2031-02-30 included. */
    public static Optional<LocalDate> parse(String text) {
        String stripped = text.strip();
        if (!FORM.matcher(stripped).matches()) {
            return Optional.empty();
        }
        try {
            return Optional.of(LocalDate.parse(stripped));
        } catch (DateTimeException noDate) {
            return Optional.empty();
        }
    }
}
