package ample.ledger.core.plan;

import ample.ledger.core.calendar.DateSet;
import ample.ledger.core.reading.Workload;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.Term;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Going to a section, on the dates that the calendar of its term leaves standing. Equal to another of the same section. */
public final class Attendance implements Engagement {

    private final Section section;
    private final Schedule schedule;
    private final List<Stay> stays;
    private volatile @Nullable Workload workload;

    /** @param schedule of the term that posts {@code section} */
    public Attendance(Section section, Schedule schedule) {
        this.section = section;
        this.schedule = schedule;
        this.stays = Stream.concat(
                        section.meetings().stream().map(meeting -> stay(meeting, false)),
                        section.exams().stream().map(exam -> stay(exam, true)))
                .flatMap(List::stream)
                .toList();
    }

    /** Of each of {@code sections}, all of them of {@code schedule}. */
    public static List<Attendance> of(Collection<Section> sections, Schedule schedule) {
        return sections.stream()
                .map(section -> new Attendance(section, schedule))
                .toList();
    }

    private List<Stay> stay(Meeting meeting, boolean exam) {
        DateSet dates = DateSet.of(schedule.term().calendar().datesOf(meeting.timing()));
        return meeting.timing().time().filter(time -> !dates.isEmpty()).stream()
                .map(time ->
                        new Stay(meeting.timing().days(), time, dates, spotOf(meeting), exam, Optional.of(meeting)))
                .toList();
    }

    /** Where one of its meetings or exams is; empty where no one has to be anywhere. */
    public Optional<Spot> spotOf(Meeting meeting) {
        return Spot.of(meeting.place(), section);
    }

    public Section section() {
        return section;
    }

    /** What posts it. */
    public Schedule schedule() {
        return schedule;
    }

    public Term term() {
        return schedule.term();
    }

    /** Its meetings and exams. */
    @Override
    public List<Stay> stays() {
        return stays;
    }

    /** The hours that it takes; worked out when it is first asked for. */
    public Workload workload() {
        Workload known = workload;
        if (known == null) {
            known = Workload.of(List.of(section), schedule);
            workload = known;
        }
        return known;
    }

    /** Whether it is not a companion of another section. */
    public boolean leads() {
        return section.companion().isEmpty();
    }

    public boolean sameCourse(Attendance other) {
        return section.course().code().equals(other.section.course().code())
                && term().code().equals(other.term().code());
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Attendance attendance
                && section.entry().equals(attendance.section.entry())
                && term().code().equals(attendance.term().code());
    }

    @Override
    public int hashCode() {
        return section.entry().hashCode();
    }

    /** "TIDE 214 T1". */
    @Override
    public String toString() {
        return section.toString();
    }
}
