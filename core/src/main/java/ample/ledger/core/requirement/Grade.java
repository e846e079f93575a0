package ample.ledger.core.requirement;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A grade: a letter from A, the best, to F, which is no pass, with a plus or a minus; or P for a pass without a grade, which is as
 * good as the least letter that passes. Common practice, no source.
 *
 * @param text as it is written: "B+"
 */
public record Grade(String text) implements Comparable<Grade> {

    private static final Pattern FORM = Pattern.compile("([A-DF])([+-]?)|P");

    public Grade {
        if (!FORM.matcher(text).matches()) {
            throw new IllegalArgumentException(
                    "A grade is a letter A to D or F, with + or - after it, or P, not “" + text + "”");
        }
    }

    /** The grade that {@code text} writes, in any case; empty when it is none. */
    public static Optional<Grade> parse(String text) {
        String upper = text.strip().toUpperCase(Locale.ROOT).replace('−', '-');
        return FORM.matcher(upper).matches() ? Optional.of(new Grade(upper)) : Optional.empty();
    }

    /** Whether a course with this grade is passed. */
    public boolean passes() {
        return !text.startsWith("F");
    }

    /** Better grades are greater. */
    @Override
    public int compareTo(Grade other) {
        return Integer.compare(rank(), other.rank());
    }

    private int rank() {
        Matcher matcher = FORM.matcher(text);
        if (!matcher.matches() || matcher.group(1) == null) {
            return 3 * ('F' - 'D') - 1;
        }
        int sign = matcher.group(2).equals("+") ? 1 : matcher.group(2).equals("-") ? -1 : 0;
        return 3 * ('F' - matcher.group(1).charAt(0)) + sign;
    }

    @Override
    public String toString() {
        return text;
    }
}
