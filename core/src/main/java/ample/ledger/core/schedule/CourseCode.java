package ample.ledger.core.schedule;

import java.util.Comparator;
import java.util.regex.Pattern;

/**
 * The code of a course: its subject and its number, such as GLAC and 240d. Ordered by subject, then by the digits of
 * the number as a number, then by what follows them.
 *
 * @param subject the code of the subject
 * @param number digits, which may have dots between them, then any letters that the institution's code key explains
 */
public record CourseCode(String subject, String number) implements Comparable<CourseCode> {

    private static final Pattern NUMBER = Pattern.compile("[0-9]{1,6}(?:\\.[0-9]{1,4}){0,3}\\p{L}{0,4}");

    private static final Comparator<CourseCode> ORDER = Comparator.comparing(CourseCode::subject)
            .thenComparingInt(CourseCode::digits)
            .thenComparing(CourseCode::number);

    public CourseCode {
        if (!NUMBER.matcher(number).matches()) {
            throw new IllegalArgumentException(
                    "A course number is 1 to 6 digits, more of them behind dots, and up to 4 letters, not “" + number
                            + "”");
        }
    }

    /** The leading digits of the number, as in 240 of 240d. */
    public int digits() {
        int end = 0;
        while (end < number.length() && Character.isDigit(number.charAt(end))) {
            end++;
        }
        return Integer.parseInt(number, 0, end, 10);
    }

    @Override
    public int compareTo(CourseCode other) {
        return ORDER.compare(this, other);
    }

    /** As it is written: "GLAC 240d". */
    @Override
    public String toString() {
        return subject + " " + number;
    }
}
