package ample.ledger.core.edition;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.stream.Stream;

/** Exams on dates that are probably not meant: while a class of the same section, or of a companion, is held, or far from term. */
final class ExamDates {

    /** Exams are held in the last weeks of term or soon after it (common practice, no source). */
    private static final int WEEKS_OFF = 4;

    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);

    private ExamDates() {}

    /** Cost: for each exam the dates of its section's meetings and of its companions'. */
    static Stream<Warning> of(Schedule schedule) {
        return schedule.sections().stream()
                .filter(section -> !section.cancelled())
                .flatMap(section -> section.exams().stream()
                        .map(exam -> (Timing.Once) exam.timing())
                        .flatMap(exam -> Stream.concat(
                                Stream.concat(Stream.of(section), schedule.companionsOf(section).stream())
                                        .filter(held -> meets(
                                                held, exam, schedule.term().calendar()))
                                        .map(held -> during(section, held, exam)),
                                isFarOff(section, exam, schedule) ? Stream.of(farOff(section, exam)) : Stream.of())));
    }

    private static boolean meets(Section section, Timing.Once exam, TermCalendar calendar) {
        return !section.cancelled()
                && section.meetings().stream()
                        .map(Meeting::timing)
                        .anyMatch(timing -> timing.time()
                                        .filter(hours -> hours.overlapMinutes(exam.hours()) > 0)
                                        .isPresent()
                                && calendar.datesOf(timing).contains(exam.date()));
    }

    private static Warning during(Section section, Section held, Timing.Once exam) {
        String when =
                "on %s at %s".formatted(DATE.format(exam.date()), exam.hours().start());
        return held.equals(section)
                ? Warning.ofSections(
                        Warning.Kind.CLASS_DURING_EXAM, "A class of it is held during its exam, " + when + ".", section)
                : Warning.ofSections(
                        Warning.Kind.CLASS_DURING_EXAM,
                        "A class of the second is held during the exam of the first, " + when + ".",
                        section,
                        held);
    }

    private static boolean isFarOff(Section section, Timing.Once exam, Schedule schedule) {
        DateRange term = schedule.term().dates();
        LocalDate ends = section.span().dates().last().isAfter(term.last())
                ? section.span().dates().last()
                : term.last();
        return exam.date().isBefore(term.first().minusWeeks(WEEKS_OFF))
                || exam.date().isAfter(ends.plusWeeks(WEEKS_OFF));
    }

    private static Warning farOff(Section section, Timing.Once exam) {
        return Warning.ofSections(
                Warning.Kind.EXAM_FAR_OFF,
                "Its exam is on %s, more than %d weeks from its term and its span."
                        .formatted(DATE.format(exam.date()), WEEKS_OFF),
                section);
    }
}
