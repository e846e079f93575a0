package ample.ledger.standin.people;

import ample.ledger.core.registrar.Hold;
import ample.ledger.core.registrar.StudentFile.CourseOnFile;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * A student as the institution keeps them.
 *
 * @param name as they are called
 * @param words who that is, for the page to sign in
 * @param credits earned
 * @param level year of study
 * @param programme its code; empty for none
 * @param homeCampus its code
 * @param courses one a line, a course and its grade; without one it goes on
 * @param placements by their names
 * @param waived codes of courses for which what comes before them was waived
 */
record Student(
        String name,
        String words,
        int credits,
        int level,
        String programme,
        String homeCampus,
        String courses,
        List<String> placements,
        List<String> waived,
        List<Hold> holds) {

    private static final Pattern GRADED = Pattern.compile("(\\S+ \\S+) (\\S+)");

    List<CourseOnFile> onFile() {
        return courses.lines().map(Student::onFile).toList();
    }

    private static CourseOnFile onFile(String line) {
        var graded = GRADED.matcher(line);
        return graded.matches()
                ? new CourseOnFile(graded.group(1), Optional.of(graded.group(2)), Optional.empty())
                : new CourseOnFile(line, Optional.empty(), Optional.empty());
    }
}
