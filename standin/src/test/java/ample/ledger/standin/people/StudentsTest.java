package ample.ledger.standin.people;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.requirement.RecordLines;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.requirement.StudentRecord.Taken;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Requirement;
import ample.ledger.core.schedule.Schedule;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What is on the students' records goes together with what is posted. */
class StudentsTest {

    private static final Schedule KERNEL = Schedules.kernelSchedule();
    private static final GeneratedStudents GENERATED = new GeneratedStudents(KERNEL);

    static Stream<String> everyRecordFitsThePostedCourses() {
        return Stream.concat(
                Stream.of("wren", "maris", "tamsin", "odo", "bryn"),
                IntStream.rangeClosed(1, 60).mapToObj(number -> "student-" + number));
    }

    @ParameterizedTest
    @MethodSource
    void everyRecordFitsThePostedCourses(String name) {
        Student student = student(name);
        List<Taken> courses = courses(student);

        assertThat(courses)
                .extracting(Taken::course)
                .doesNotHaveDuplicates()
                .allMatch(code -> KERNEL.course(code).isPresent());
        assertThat(StudentRecord.creditsOf(courses, KERNEL)).isEqualByComparingTo(String.valueOf(student.credits()));
        StudentRecord record = new StudentRecord(
                Set.of(StudentRecord.Part.values()),
                courses,
                Optional.of(BigDecimal.valueOf(student.credits())),
                Optional.of(student.level()),
                Set.copyOf(student.placements()),
                Set.of(),
                Map.of());
        for (Taken taken : courses) {
            Course course = KERNEL.course(taken.course()).orElseThrow();
            course.rules().prerequisites().stream()
                    .flatMap(posted -> posted.expression().stream())
                    .forEach(expression -> assertThat(new Evaluation(record, List.of(), KERNEL)
                                    .judge(expression)
                                    .verdict()
                                    .willDo())
                            .as("%s asks before %s for %s", name, course, expression)
                            .isTrue());
        }
    }

    @Test
    void theSecondYearStudentHasFortySixCreditsAndTwoCoursesInProgress() {
        Student maris = student("maris");

        assertThat(maris.credits()).isEqualTo(46);
        assertThat(courses(maris)).filteredOn(Taken::inProgress).hasSize(2);
    }

    @Test
    void theLastYearStudentOwesPublicGoodAlone() {
        List<Taken> courses = courses(student("odo"));

        assertThat(KERNEL.requirements())
                .filteredOn(requirement -> courses.stream()
                        .noneMatch(taken -> KERNEL.course(taken.course())
                                .orElseThrow()
                                .requirements()
                                .contains(requirement.code())))
                .extracting(Requirement::name)
                .containsExactly("Public good");
    }

    @Test
    void theSameNumberIsTheSameStudentAndTheirCreditsDiffer() {
        assertThat(GENERATED.student("student-7")).isEqualTo(new GeneratedStudents(KERNEL).student("student-7"));
        assertThat(IntStream.rangeClosed(1, 60)
                        .mapToObj(number -> student("student-" + number).credits()))
                .hasSizeGreaterThan(50)
                .anyMatch(credits -> credits < 20)
                .anyMatch(credits -> credits > 60);
        assertThat(GENERATED.student("student-100001")).isEmpty();
        assertThat(GENERATED.student("student-0")).isEmpty();
        assertThat(GENERATED.student("odo")).isEmpty();
    }

    private static Student student(String name) {
        return Optional.ofNullable(DemoStudents.ALL.get(name))
                .or(() -> GENERATED.student(name))
                .orElseThrow();
    }

    private static List<Taken> courses(Student student) {
        return new RecordLines(List.of(Schedules.kernelSchedule()))
                .read(student.courses())
                .courses();
    }
}
