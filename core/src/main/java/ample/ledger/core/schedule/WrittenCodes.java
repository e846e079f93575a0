package ample.ledger.core.schedule;

import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads course codes as people type them: "glac 240d", "GLAC240d", "31-210", "hyd.204b". What is posted decides which words are a code; what
 * is not posted is read as a subject and a number.
 *
 * @param posted in the order in which they are asked
 */
public record WrittenCodes(List<Schedule> posted) {

    /** The most words that a code is written in. */
    private static final int MOST_WORDS = 3;

    private static final Pattern ENDS = Pattern.compile("[ ,;\\t]|$");

    private static final Pattern NOT_POSTED = Pattern.compile(
            "([\\p{L}\\p{M}\\p{N}]{1,12}?)[ ./-]*([0-9]{1,6}(?:\\.[0-9]{1,4}){0,3}\\p{L}{0,4})(?=[ ,;\\t]|$)");

    /** A code, and what stands behind it. */
    public record Found(CourseCode course, String rest) {}

    public WrittenCodes(Collection<Schedule> posted) {
        this(List.copyOf(posted));
    }

    /** The course that {@code text} begins with; empty where it begins with none. */
    public Optional<Found> leading(String text) {
        Matcher ends = ENDS.matcher(text);
        for (int words = 1; words <= MOST_WORDS && ends.find(); words++) {
            Optional<CourseCode> course = posted(text.substring(0, ends.start()));
            if (course.isPresent()) {
                return Optional.of(new Found(course.get(), text.substring(ends.start())));
            }
        }
        Matcher other = NOT_POSTED.matcher(text);
        // Letters after the digits are mostly written small in course codes, and subjects large.
        return other.lookingAt()
                ? Optional.of(new Found(
                        new CourseCode(
                                other.group(1).toUpperCase(Locale.ROOT),
                                other.group(2).toLowerCase(Locale.ROOT)),
                        text.substring(other.end())))
                : Optional.empty();
    }

    private Optional<CourseCode> posted(String code) {
        return posted.stream()
                .flatMap(schedule -> schedule.courseWritten(code).stream())
                .map(Course::code)
                .findFirst();
    }

    /** The grade that {@code text} is: of the scale of who posts the course, or else of the first that has it; where nothing is posted, a letter. */
    public Optional<Grade> grade(CourseCode course, String text) {
        return posted.stream()
                .filter(schedule -> schedule.course(course).isPresent())
                .findFirst()
                .map(List::of)
                .orElse(posted)
                .stream()
                .flatMap(schedule -> schedule.institution().grades().parse(text).stream())
                .findFirst()
                .or(() -> posted.isEmpty() ? GradeScale.LETTERS.parse(text) : Optional.empty());
    }

    /** The schedule whose courses and grades serve people as examples; empty where nothing is posted. */
    public Optional<Schedule> first() {
        return posted.stream().findFirst();
    }
}
