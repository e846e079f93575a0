package ample.ledger.core.requirement;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RecordLinesTest {

    private static final RecordLines LINES = new RecordLines(List.of(Schedules.kernelSchedule(), Schedules.samiq()));

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "glac 120 B+|GLAC 120 B+",
                "GLAC120,b|GLAC 120 B",
                "\"NUMB 112\",\"A-\"|NUMB 112 A-",
                "GLAC 240D|GLAC 240d",
                "31-210;P|31 210 P",
                "hyd.204b 16/20|HYD 204b 16/20",
                "HYD 204.1B; 9|HYD 204.1b 9/20",
                "نجم.110 12|نجم 110 12/20",
                "żeg101|ŻEG 101",
                "BLOR.12 B+|BLOR 12 B+",
                "TIDE 110,|TIDE 110"
            })
    void courseAndGradeAreReadAsPeopleWriteThem(String line, String course) {
        var reading = LINES.read(line);

        assertThat(reading.faults()).isEmpty();
        assertThat(written(reading.courses())).isEqualTo(course + "\n");
    }

    @Test
    void whatIsNoCourseIsSaidWithItsLineAndTheRestIsKept() {
        var reading = LINES.read("course,grade\nGLAC 120 B+\n\nGlaciology\nTIDE 110 Z\nNUMB 112");

        assertThat(written(reading.courses())).isEqualTo("GLAC 120 B+\nNUMB 112\n");
        assertThat(reading.faults())
                .containsExactly(
                        "Line 4, “Glaciology”, is not a course; write it like “CART 105 A+”, or “CART 105” while you are taking it.",
                        "Line 5: “Z” is not a grade here; grades are such as A+, D-, F.");
    }

    private static String written(List<StudentRecord.Taken> courses) {
        return courses.stream()
                .map(taken ->
                        taken.course() + taken.grade().map(grade -> " " + grade).orElse("") + "\n")
                .collect(Collectors.joining());
    }

    @Test
    void creditsAreThoseOfThePassedCoursesOnce() {
        List<StudentRecord.Taken> taken = LINES.read(
                        "TIDE 110 B\nTIDE 110 C\nTIDE 214 F\nGLAC 120\nNUMB 112 P\nBLOR 100 A")
                .courses();

        assertThat(StudentRecord.creditsOf(taken, Schedules.kernelSchedule())).isEqualByComparingTo("7");
    }
}
