package ample.ledger.core.requirement;

import ample.ledger.core.requirement.StudentRecord.Taken;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Grade;
import ample.ledger.core.schedule.GradeScale;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.WrittenCodes;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Courses of a record as people type them and as programs list them: one a line, a course and then its grade, with a blank, a comma, a
 * semicolon or a tab between; without a grade it goes on now. {@code glac 120 B+}, {@code GLAC120,B+}, {@code "NUMB 112"}. Codes and grades are
 * those that the institutions post.
 */
public final class RecordLines {

    /** More lines than this are not read: no student has taken so many courses. */
    private static final int MOST = 300;

    private static final Pattern HEADING = Pattern.compile("(?i)course\\b[^0-9]*");

    private final WrittenCodes codes;

    /** @param posted whose codes and grades are read */
    public RecordLines(Collection<Schedule> posted) {
        this.codes = new WrittenCodes(posted);
    }

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
    public Reading read(String text) {
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

    private void read(String line, int number, List<Taken> courses, List<String> faults) {
        Optional<WrittenCodes.Found> found = codes.leading(line);
        if (found.isEmpty()) {
            faults.add("Line %d, “%s”, is not a course%s.".formatted(number, shortened(line), example()));
            return;
        }
        CourseCode course = found.get().course();
        String rest = found.get().rest().replaceAll("^[ ,;\\t]+|[ ,;\\t]+$", "");
        Optional<Grade> grade = rest.isEmpty() ? Optional.empty() : codes.grade(course, rest);
        if (!rest.isEmpty() && grade.isEmpty()) {
            faults.add("Line %d: “%s” is not a grade here; grades are such as %s."
                    .formatted(number, shortened(rest), scale(course).examples()));
            return;
        }
        courses.add(new Taken(course, grade));
    }

    /** Of who posts the course, or else the first. */
    private GradeScale scale(CourseCode course) {
        return codes.posted().stream()
                .filter(schedule -> schedule.course(course).isPresent())
                .findFirst()
                .or(codes::first)
                .map(schedule -> schedule.institution().grades())
                .orElse(GradeScale.LETTERS);
    }

    /** What a line should look like, by a course that is posted. */
    private String example() {
        return codes.first()
                .flatMap(schedule -> schedule.courses().stream()
                        .findFirst()
                        .map(course -> example(course, schedule.institution().grades())))
                .orElse("");
    }

    private static String example(Course course, GradeScale grades) {
        return "; write it like “%s %s”, or “%1$s” while you are taking it"
                .formatted(course.written(), grades.examples().split(",")[0]);
    }

    private static String shortened(String text) {
        return text.length() > 40 ? text.substring(0, 40) + "…" : text;
    }
}
