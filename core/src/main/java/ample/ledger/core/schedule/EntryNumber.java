package ample.ledger.core.schedule;

import java.util.Optional;
import java.util.regex.Pattern;

/** The number that names exactly one section of a term to the registrar. Compared by its digits, as text. */
public record EntryNumber(String digits) implements Comparable<EntryNumber> {

    private static final Pattern FORM = Pattern.compile("[0-9]{3,9}");

    public EntryNumber {
        if (!FORM.matcher(digits).matches()) {
            throw new IllegalArgumentException("An entry number is 3 to 9 digits, not “" + digits + "”");
        }
    }

    /** The entry number these digits write, or empty when they cannot be one. */
    public static Optional<EntryNumber> parse(String text) {
        return FORM.matcher(text).matches() ? Optional.of(new EntryNumber(text)) : Optional.empty();
    }

    @Override
    public int compareTo(EntryNumber other) {
        return digits.compareTo(other.digits);
    }

    @Override
    public String toString() {
        return digits;
    }
}
