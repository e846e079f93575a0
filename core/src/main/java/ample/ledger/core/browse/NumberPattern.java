package ample.ledger.core.browse;

import ample.ledger.core.schedule.CourseCode;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A course number asked for: exactly {@code 240d}; {@code 240}, whatever letters follow; or the range {@code 200-299},
 * which may also be read from {@code 2xx}.
 *
 * @param low least digits, as a number
 * @param high greatest digits; equal to {@code low} for a single number
 * @param letters the letters that must follow, in lower case; empty for any or none. Only for a single number
 */
public record NumberPattern(int low, int high, String letters) implements Comparable<NumberPattern> {

    private static final Pattern FORM = Pattern.compile("([0-9]{1,6})(?:\\s*[-–]\\s*([0-9]{1,6})|(\\p{L}{1,4}))?");

    private static final Pattern HUNDREDS = Pattern.compile("([1-9])xx", Pattern.CASE_INSENSITIVE);

    public NumberPattern {
        if (low < 0 || high < low) {
            throw new IllegalArgumentException("Course numbers cannot run from " + low + " to " + high);
        }
        if (high > low && !letters.isEmpty()) {
            throw new IllegalArgumentException("A range of course numbers has no letters: " + letters);
        }
    }

    /** Reads the forms above; empty for anything else and for a range that runs backwards. */
    public static Optional<NumberPattern> parse(String text) {
        Matcher hundreds = HUNDREDS.matcher(text.strip());
        if (hundreds.matches()) {
            int low = Integer.parseInt(hundreds.group(1)) * 100;
            return Optional.of(new NumberPattern(low, low + 99, ""));
        }
        Matcher matcher = FORM.matcher(text.strip());
        if (!matcher.matches()) {
            return Optional.empty();
        }
        int low = Integer.parseInt(matcher.group(1));
        int high = matcher.group(2) == null ? low : Integer.parseInt(matcher.group(2));
        String letters = matcher.group(3) == null ? "" : matcher.group(3).toLowerCase(Locale.ROOT);
        return high < low ? Optional.empty() : Optional.of(new NumberPattern(low, high, letters));
    }

    public boolean matches(CourseCode code) {
        int digits = code.digits();
        return digits >= low
                && digits <= high
                && (letters.isEmpty() || code.number().toLowerCase(Locale.ROOT).endsWith(digits + letters));
    }

    /** "240d", or "200 to 299". */
    public String inWords() {
        return high > low ? low + " to " + high : low + letters;
    }

    @Override
    public int compareTo(NumberPattern other) {
        return Comparator.comparingInt(NumberPattern::low)
                .thenComparingInt(NumberPattern::high)
                .thenComparing(NumberPattern::letters)
                .compare(this, other);
    }

    /** As {@link #parse} reads it. */
    @Override
    public String toString() {
        return high > low ? low + "-" + high : low + letters;
    }
}
