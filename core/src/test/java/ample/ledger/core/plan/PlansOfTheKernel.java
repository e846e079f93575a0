package ample.ledger.core.plan;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.reading.Person;
import ample.ledger.core.reading.Readings;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Plans of sections of the demo's kernel, named as people name them: {@code "TIDE 214 T1"}. */
public final class PlansOfTheKernel {

    public static final Schedule KERNEL = Schedules.kernelSchedule();
    public static final TermCode TERM = new TermCode("autumn-2031");
    public static final SeasonCode SEASON = new SeasonCode("autumn-2031");
    public static final PostedSchedules POSTED = new PostedSchedules(List.of(KERNEL));
    public static final Obstacles.Student ANYBODY =
            new Obstacles.Student(Optional.empty(), KERNEL.term(), Optional.empty());

    private PlansOfTheKernel() {}

    public static Section section(String name) {
        return KERNEL.sections().stream()
                .filter(section -> section.toString().equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("The kernel has no " + name));
    }

    public static Attendance attendance(String name) {
        return POSTED.attendance(section(name), KERNEL);
    }

    public static Pick pick(String name, Standing standing) {
        return new Pick(TERM, section(name).entry(), standing);
    }

    public static Plan plan(String... names) {
        return Plan.empty("1", SEASON, "Plan A")
                .adding(Arrays.stream(names)
                        .map(name -> pick(name, Standing.TAKEN))
                        .toList());
    }

    public static PlannedWeek week(Plan plan) {
        return PlannedWeek.of(plan, List.of(), POSTED);
    }

    public static PlannedWeek week(String... names) {
        return week(plan(names));
    }

    /** A week of sections that are not the kernel's. */
    public static PlannedWeek week(PostedSchedules posted, Section... sections) {
        Plan plan = Plan.empty("1", SEASON, "Plan A")
                .adding(Arrays.stream(sections)
                        .map(section -> new Pick(TERM, section.entry(), Standing.TAKEN))
                        .toList());
        return PlannedWeek.of(plan, List.of(), posted);
    }

    /** A section with nothing but an exam. */
    public static Section exam(String course, String entry, LocalDate day, String hours) {
        return SectionBuilder.section(course).entry(entry).exam(day, hours).build();
    }

    public static List<Obstacle> obstacles(String... names) {
        return Obstacles.of(week(names), ANYBODY);
    }

    /** How a section stands on the demo's day for a student with 20 credits, for whom registration opens on the next. */
    public static StatusReading notYetOpen(Attendance attendance) {
        StudentRecord twenty = new StudentRecord(
                Set.of(), List.of(), Optional.of(BigDecimal.valueOf(20)), Optional.of(1), Set.of(), Set.of(), Map.of());
        return new Readings(KERNEL, Person.of(KERNEL, Optional.of(twenty), Schedules.NOW))
                .of(attendance.section(), attendance.section().pool());
    }

    public static Pick unknown() {
        return new Pick(TERM, new EntryNumber("99999"), Standing.TAKEN);
    }

    public static CourseCode code(String subject, String number) {
        return new CourseCode(subject, number);
    }
}
