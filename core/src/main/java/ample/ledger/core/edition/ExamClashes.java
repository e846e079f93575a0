package ample.ledger.core.edition;

import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Exams that students cannot help having at the same time: two of one section, of a section and its companion, or of
 * courses that are taken together, whichever of their sections are chosen.
 */
final class ExamClashes {

    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    private ExamClashes() {}

    /** Cost: for each section its companions, for each corequisite the pairs of sections. */
    static Stream<Warning> of(Schedule schedule) {
        List<Section> examined = schedule.sections().stream()
                .filter(section -> !section.cancelled() && !section.exams().isEmpty())
                .toList();
        return Stream.concat(examined.stream().flatMap(section -> within(section, schedule)), together(schedule));
    }

    private static Stream<Warning> within(Section section, Schedule schedule) {
        List<Warning> warnings = new ArrayList<>();
        List<Meeting> exams = section.exams();
        for (int i = 0; i < exams.size(); i++) {
            for (int j = i + 1; j < exams.size(); j++) {
                if (clash(exams.get(i), exams.get(j))) {
                    warnings.add(Warning.ofSections(
                            Warning.Kind.EXAM_CLASH,
                            sentence("Two of its own exams are at once", exams.get(i)),
                            section));
                }
            }
        }
        for (Section companion : schedule.companionsOf(section)) {
            clash(section, companion)
                    .ifPresent(exam -> warnings.add(Warning.ofSections(
                            Warning.Kind.EXAM_CLASH,
                            sentence("They are taken together, and their exams are at once", exam),
                            section,
                            companion)));
        }
        return warnings.stream();
    }

    private static Stream<Warning> together(Schedule schedule) {
        return schedule.courses().stream()
                .flatMap(course -> course.rules().corequisites().stream()
                        .flatMap(corequisite -> schedule.course(corequisite.course()).stream())
                        .flatMap(other -> unavoidable(leads(schedule, course), leads(schedule, other)).stream()
                                .map(exam -> Warning.ofCourses(
                                        Warning.Kind.EXAM_CLASH,
                                        sentence(
                                                "They are taken together, and the exams of all their sections are at once",
                                                exam),
                                        List.of(course, other)))));
    }

    private static List<Section> leads(Schedule schedule, Course course) {
        return schedule.sectionsOf(course.code()).stream()
                .filter(section -> !section.cancelled() && section.companion().isEmpty())
                .toList();
    }

    /** An exam in the way of the first pair, when every pair has one; empty when some pair goes well, or there is none. */
    private static Optional<Meeting> unavoidable(List<Section> some, List<Section> others) {
        List<Optional<Meeting>> pairs = some.stream()
                .flatMap(one -> others.stream().map(other -> clash(one, other)))
                .toList();
        return pairs.isEmpty() || pairs.stream().anyMatch(Optional::isEmpty) ? Optional.empty() : pairs.get(0);
    }

    private static Optional<Meeting> clash(Section one, Section other) {
        return one.exams().stream()
                .filter(exam -> other.exams().stream().anyMatch(another -> clash(exam, another)))
                .findFirst();
    }

    private static boolean clash(Meeting one, Meeting other) {
        return date(one).equals(date(other)) && time(one).overlapMinutes(time(other)) > 0;
    }

    private static LocalDate date(Meeting exam) {
        return ((Timing.Once) exam.timing()).date();
    }

    private static TimeRange time(Meeting exam) {
        return ((Timing.Once) exam.timing()).hours();
    }

    private static String sentence(String what, Meeting exam) {
        return "%s, on %s at %s."
                .formatted(what, DATE.format(date(exam)), time(exam).start());
    }
}
