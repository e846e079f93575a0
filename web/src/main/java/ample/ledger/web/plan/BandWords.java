package ample.ledger.web.plan;

import ample.ledger.core.calendar.Timing;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.Spot;
import ample.ledger.core.plan.Stay;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Term;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.visit.StandingWords;
import ample.ledger.web.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What stands in the blocks of the bands, as far as there is room, and what is said of them.
 *
 * @param has what the student has at the registrar
 * @param minutes from the left edge of the bands to the right
 */
record BandWords(PlannedWeek week, Term term, WeekAsk ask, Preferences preferences, Registration has, int minutes) {

    /** Of the width of the bands in pixels, about: to say where a name needs two lines. */
    private static final int ABOUT = 800;

    private static final double LETTER = 6;
    private static final double BOLD_LETTER = 7.2;

    /** What stands below the name. */
    List<String> more(Attendance attendance, Stay stay) {
        return Stream.of(kind(attendance, stay), part(stay), where(stay))
                .filter(text -> !text.isEmpty())
                .toList();
    }

    /** Which lanes it takes. */
    int lane(Stay stay) {
        return ask.week().isPresent() ? BandItem.WHOLE : BandItem.lane(stay.dates(), term);
    }

    /** The course, in two lines where the block is narrow and tall. */
    List<String> name(Attendance attendance, Stay stay, int tall) {
        Course course = attendance.section().course();
        boolean narrow = pixels(stay) < course.written().length() * BOLD_LETTER + 10;
        return narrow && tall >= 2 * Bands.LINE + 4
                ? List.of(
                        course.code().subject() + course.form().courseJoint().strip(),
                        course.code().number())
                : List.of(course.written());
    }

    /** The place, without its room where the block is too narrow for it. */
    private String where(Stay stay) {
        String words = stay.meeting().map(meeting -> meeting.place().inWords()).orElse("");
        boolean narrow = pixels(stay) < words.length() * LETTER + 10;
        return narrow
                ? stay.spot()
                        .flatMap(Spot::building)
                        .map(building -> building.name())
                        .orElse(words)
                : words;
    }

    private double pixels(Stay stay) {
        return (double) stay.time().minutes() / minutes * ABOUT;
    }

    private static String kind(Attendance attendance, Stay stay) {
        if (stay.exam()) {
            return "exam";
        }
        return attendance.leads() ? "" : attendance.section().kindName().toLowerCase(Locale.ROOT);
    }

    /** Which part of term, where it is not the whole. */
    String part(Stay stay) {
        if (ask.week().isPresent()) {
            return "";
        }
        if (stay.dates().size() == 1) {
            return Words.day(stay.dates().first()) + " only";
        }
        boolean everyOther = stay.meeting()
                .map(Meeting::timing)
                .filter(timing -> timing instanceof Timing.Weekly weekly && weekly.everyWeeks() == 2)
                .isPresent();
        if (everyOther) {
            return "every other week";
        }
        return switch (lane(stay)) {
            case BandItem.UPPER -> "first half";
            case BandItem.LOWER -> "second half";
            default -> "";
        };
    }

    String label(Attendance attendance, Stay stay) {
        String kind = stay.exam() ? "exam" : attendance.section().kindName().toLowerCase(Locale.ROOT);
        String when = stay.meeting()
                .map(meeting -> Words.when(meeting.timing(), preferences.clock()))
                .orElse("");
        return Stream.of(
                        attendance.toString(),
                        kind,
                        when,
                        part(stay),
                        stay.meeting().map(meeting -> meeting.place().inWords()).orElse(""),
                        StandingWords.shortly(has, attendance),
                        week.waitedFor().contains(attendance)
                                        && has.waitingFor(Entry.of(attendance)).isEmpty()
                                ? "waited for"
                                : "",
                        week.beside().contains(attendance) ? "kept as an alternative" : "")
                .filter(text -> !text.isEmpty())
                .collect(Collectors.joining(", "));
    }
}
