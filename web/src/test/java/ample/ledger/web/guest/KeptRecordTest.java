package ample.ledger.web.guest;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.requirement.StudentRecord.Taken;
import ample.ledger.core.schedule.Schedule;
import java.util.List;
import org.junit.jupiter.api.Test;

class KeptRecordTest {

    private static final List<Schedule> POSTED = List.of(Schedules.kernelSchedule());

    /** Of a student the registrar knows the credits, the year and the programme: what they typed of these as a guest is over. */
    @Test
    void ofAStudentOnlyCoursesAreSupposed() {
        KeptRecord typed = new KeptRecord("GLAC 120 B\nNUMB 112", "46", "2", "Tide test", "glaciology");

        assertThat(typed.coursesAlone()).isEqualTo(new KeptRecord("GLAC 120 B\nNUMB 112", "", "", "", ""));
        assertThat(typed.supposed(POSTED)).extracting(Taken::course).hasToString("[GLAC 120, NUMB 112]");
        assertThat(KeptRecord.NONE.supposed(POSTED)).isEmpty();
    }
}
