package ample.ledger.core.requirement;

import ample.ledger.core.requirement.StudentRecord.Taken;
import ample.ledger.core.schedule.CourseCode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Courses of a record as people type them and as programs list them: one a line, a course and then its grade, with a blank, a comma, a
 * semicolon or a tab between; without a grade it goes on now. {@code glac 120 B+}, {@code GLAC120,B+}, {@code "NUMB 112"}.
 */
public final class RecordLines {

    /** More lines than this are not read: no student has taken so many courses. */
    private static final int MOST = 300;

    private static final Pattern LINE =
            Pattern.compile("([\\p{L}0-9]{1,8}?)[ -]*([0-9]{1,6}\\p{L}{0,4})(?:[ ,;\\t]+(\\S.*?))?[,; \\t]*");

    private static final Pattern HEADING = Pattern.compile("(?i)course\\b[^0-9]*");

    private RecordLines() {}

    /**
     * What was read, and what could not be.
     *
     * @param faults a sentence for each line that says no course, naming the line
     */
    public record Reading(List<Taken> courses, List<String> faults) {

        public Reading {
            courses = List.copyOf(courses);
            faults = List.copyOf(faults);
        }
    }

    /** Reads {@code text}; blank lines and those that name columns are passed over. */
    public static Reading read(String text) {
        List<Taken> courses = new ArrayList<>();
        List<String> faults = new ArrayList<>();
        List<String> lines = text.lines().toList();
        for (int i = 0; i < Math.min(lines.size(), MOST); i++) {
            String line = lines.get(i).replace("\"", "").replace("\uFEFF", "").strip();
            boolean heading = HEADING.matcher(line).matches();
            if (!line.isEmpty() && !heading) {
                read(line, i + 1, courses, faults);
            }
        }
        if (lines.size() > MOST) {
            faults.add("Only the first %d lines were read; there are %d.".formatted(MOST, lines.size()));
        }
        return new Reading(courses, faults);
    }

    private static void read(String line, int number, List<Taken> courses, List<String> faults) {
        Matcher matcher = LINE.matcher(line);
        if (!matcher.matches()) {
            faults.add("Line %d, “%s”, is no course; it should read like “GLAC 120 B+”, or “GLAC 120” while it goes on."
                    .formatted(number, shortened(line)));
            return;
        }
        Optional<Grade> grade = Optional.ofNullable(matcher.group(3)).flatMap(Grade::parse);
        if (matcher.group(3) != null && grade.isEmpty()) {
            faults.add("Line %d: “%s” is no grade; a grade is a letter A to D or F, with + or − after it, or P."
                    .formatted(number, shortened(matcher.group(3))));
            return;
        }
        // Letters after the digits are written small in course codes, and subjects large.
        courses.add(new Taken(
                new CourseCode(
                        matcher.group(1).toUpperCase(Locale.ROOT),
                        matcher.group(2).toLowerCase(Locale.ROOT)),
                grade));
    }

    private static String shortened(String text) {
        return text.length() > 40 ? text.substring(0, 40) + "…" : text;
    }
}
