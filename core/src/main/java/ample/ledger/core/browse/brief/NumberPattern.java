package ample.ledger.core.browse.brief;

import ample.ledger.core.schedule.CourseCode;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A course number asked for: exactly {@code 240d}; {@code 240}, whatever letters follow; or the range {@code 200-299},
 * which may also be read from {@code 2xx}. Of any subject, or of one, as in {@code glac:240}.
 *
 * @param subject its code in lower case; empty for any
 * @param low least digits, as a number
 * @param high greatest digits; equal to {@code low} for a single number
 * @param letters what must follow, more digits behind dots and letters, in lower case; empty for any or none. Only for a single number
 */
public record NumberPattern(String subject, int low, int high, String letters) implements Comparable<NumberPattern> {

    private static final int GREATEST = 999_999;

    private static final Pattern FORM = Pattern.compile(
            "(?:([\\p{L}\\p{M}\\p{N}]{1,12})[:\\s]\\s*|([\\p{L}\\p{M}]{1,12}))?([0-9]{1,6})(?:\\s*[-–]\\s*([0-9]{1,6})|((?:\\.[0-9]{1,4}){0,3}\\p{L}{0,4}))?");

    private static final Pattern HUNDREDS = Pattern.compile("([1-9])xx", Pattern.CASE_INSENSITIVE);

    private static final Comparator<NumberPattern> ORDER = Comparator.comparing(NumberPattern::subject)
            .thenComparingInt(NumberPattern::low)
            .thenComparingInt(NumberPattern::high)
            .thenComparing(NumberPattern::letters);

    public NumberPattern {
        if (low < 0 || high < low) {
            throw new IllegalArgumentException("Course numbers cannot run from " + low + " to " + high);
        }
        if (high > low && !letters.isEmpty()) {
            throw new IllegalArgumentException("A range of course numbers has no letters: " + letters);
        }
    }

    /** Of any subject. */
    public NumberPattern(int low, int high, String letters) {
        this("", low, high, letters);
    }

    /** Any number of {@code subject}, a code in lower case. */
    public static NumberPattern any(String subject) {
        return new NumberPattern(subject, 0, GREATEST, "");
    }

    /** Exactly the number of {@code course}. */
    public static NumberPattern exactly(CourseCode course) {
        int digits = course.digits();
        return new NumberPattern(
                course.subject().toLowerCase(Locale.ROOT),
                digits,
                digits,
                course.number().replaceFirst("^[0-9]+", "").toLowerCase(Locale.ROOT));
    }

    /** Reads the forms above; empty for anything else and for a range that runs backwards. */
    public static Optional<NumberPattern> parse(String text) {
        Matcher matcher = FORM.matcher(hundredsAsRange(text.strip()));
        if (!matcher.matches()) {
            return Optional.empty();
        }
        String before = matcher.group(1) == null ? matcher.group(2) : matcher.group(1);
        String subject = before == null ? "" : before.toLowerCase(Locale.ROOT);
        int low = Integer.parseInt(matcher.group(3));
        int high = matcher.group(4) == null ? low : Integer.parseInt(matcher.group(4));
        String letters = matcher.group(5) == null ? "" : matcher.group(5).toLowerCase(Locale.ROOT);
        return high < low ? Optional.empty() : Optional.of(new NumberPattern(subject, low, high, letters));
    }

    /** {@code 200-299} for {@code 2xx}. */
    private static String hundredsAsRange(String text) {
        return HUNDREDS.matcher(text).replaceFirst("$100-$199");
    }

    public boolean matches(CourseCode code) {
        int digits = code.digits();
        return (subject.isEmpty() || subject.equalsIgnoreCase(code.subject()))
                && digits >= low
                && digits <= high
                && (letters.isEmpty() || code.number().toLowerCase(Locale.ROOT).endsWith(digits + letters));
    }

    /** "240d", "200 to 299", "GLAC 240". */
    public String inWords() {
        if (low == 0 && high == GREATEST) {
            return "any " + subject.toUpperCase(Locale.ROOT);
        }
        String numbers = high > low ? low + " to " + high : low + letters;
        return subject.isEmpty() ? numbers : subject.toUpperCase(Locale.ROOT) + " " + numbers;
    }

    @Override
    public int compareTo(NumberPattern other) {
        return ORDER.compare(this, other);
    }

    /** As {@link #parse} reads it. */
    @Override
    public String toString() {
        String numbers = high > low ? low + "-" + high : low + letters;
        return subject.isEmpty() ? numbers : subject + ":" + numbers;
    }
}
