package ample.ledger.core.registrar;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.registrar.StudentFile.CourseOnFile;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.requirement.StudentRecord.Part;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.StudentGroup;
import ample.ledger.core.schedule.StudentGroup.About;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class StudentFileTest {

    private static final List<Schedule> POSTED = List.of(Schedules.kernelSchedule());
    private static final StudentGroup GLACIOLOGY = new StudentGroup(About.PROGRAMME, List.of("glaciology"));

    @Test
    void whatIsKnownHereDecides() {
        StudentRecord record = file("limnology", List.of(on("GLAC 120", "B"))).record(List.of(), POSTED);

        assertThat(record.belongsTo(GLACIOLOGY)).contains(false);
        assertThat(record.known()).contains(Part.COURSES);
        assertThat(record.waived()).containsExactly(new CourseCode("LIMN", "222"));
        assertThat(record.owed()).contains(Set.of("making"));
    }

    @Test
    void whatIsNotUnderstoodIsNotKnown() {
        StudentFile file = file("ballooning", List.of(on("GLAC 120", "B"), on("GLAC 205", "splendid")));
        StudentRecord record = file.record(List.of(), POSTED);

        assertThat(record.belongsTo(GLACIOLOGY))
                .as("no term posts that programme")
                .isEmpty();
        assertThat(record.known()).as("the line may say of any course").doesNotContain(Part.COURSES);
        assertThat(record.passed()).containsExactly(new CourseCode("GLAC", "120"));
        assertThat(file.unreadable(POSTED)).hasSize(1);
    }

    private static CourseOnFile on(String course, String grade) {
        return new CourseOnFile(course, Optional.of(grade), Optional.empty());
    }

    private static StudentFile file(String programme, List<CourseOnFile> courses) {
        return new StudentFile(
                "maris",
                "Maris",
                Optional.empty(),
                Instant.parse("2031-06-17T08:41:00Z"),
                BigDecimal.valueOf(46),
                2,
                Optional.of(programme),
                Optional.empty(),
                Optional.empty(),
                courses,
                List.of(),
                List.of("LIMN 222"),
                List.of(),
                List.of("making"),
                List.of(),
                List.of());
    }
}
