package ample.ledger.core.exchange;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Delivery;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import tools.jackson.databind.json.JsonMapper;

/**
 * A section in the words of <a href="https://schema.org/CourseInstance">schema.org</a>: a {@code CourseInstance} with a
 * {@code Schedule} for each meeting, as JSON-LD. What that vocabulary has no word for — waitlists, companions — is left out.
 */
public final class LinkedData {

    private static final JsonMapper JSON = JsonMapper.shared();
    private static final String SCHEMA = "https://schema.org/";

    private LinkedData() {}

    /**
     * The section as JSON that may also stand inside an HTML page: no {@code <} is left in it.
     *
     * @param reading for somebody who belongs to no group
     */
    public static String of(Section section, Schedule schedule, StatusReading reading) {
        return JSON.writeValueAsString(instance(section, schedule, reading)).replace("<", "\\u003c");
    }

    private static Map<String, Object> instance(Section section, Schedule schedule, StatusReading reading) {
        Map<String, Object> instance = new LinkedHashMap<>();
        instance.put("@context", "https://schema.org");
        instance.put("@type", "CourseInstance");
        instance.put("identifier", section.entry().digits());
        instance.put("name", section + ", " + section.course().title());
        instance.put("about", course(section.course(), schedule));
        instance.put("courseMode", mode(section.delivery()));
        instance.put("inLanguage", section.language().toLanguageTag());
        instance.put("startDate", section.span().dates().first().toString());
        instance.put("endDate", section.span().dates().last().toString());
        instance.put("eventStatus", SCHEMA + (section.cancelled() ? "EventCancelled" : "EventScheduled"));
        instance.put(
                "maximumAttendeeCapacity",
                section.cancelled() ? 0 : section.pool().capacity());
        instance.put("remainingAttendeeCapacity", reading.open());
        instance.put(
                "instructor",
                section.instructors().stream()
                        .map(person -> Map.of("@type", "Person", "name", person.name()))
                        .toList());
        instance.put(
                "location",
                section.meetings().stream()
                        .map(meeting -> place(meeting.place()))
                        .distinct()
                        .toList());
        instance.put(
                "courseSchedule",
                Stream.concat(section.meetings().stream(), section.exams().stream())
                        .flatMap(meeting -> timetables(meeting, schedule))
                        .toList());
        return instance;
    }

    private static Map<String, Object> course(Course course, Schedule schedule) {
        Map<String, Object> described = new LinkedHashMap<>();
        described.put("@type", "Course");
        described.put("courseCode", course.written());
        described.put("name", course.title());
        described.put("description", course.description());
        described.put("numberOfCredits", course.credits());
        described.put(
                "provider",
                Map.of(
                        "@type",
                        "CollegeOrUniversity",
                        "name",
                        schedule.institution().name()));
        List<String> sentences = course.rules().prerequisites().stream()
                .map(prerequisite -> prerequisite.sentence())
                .toList();
        if (!sentences.isEmpty()) {
            described.put("coursePrerequisites", sentences);
        }
        return described;
    }

    private static String mode(Delivery delivery) {
        return switch (delivery) {
            case ON_SITE -> "onsite";
            case MIXED -> "blended";
            case ONLINE_TIMED, ONLINE_UNTIMED -> "online";
        };
    }

    private static Map<String, Object> place(Place place) {
        Map<String, Object> located = new LinkedHashMap<>();
        if (place instanceof Place.Online) {
            located.put("@type", "VirtualLocation");
            located.put("name", "Online");
            return located;
        }
        located.put("@type", "Place");
        located.put("name", place.inWords());
        if (place instanceof Place.Room room) {
            located.put("latitude", room.building().latitude());
            located.put("longitude", room.building().longitude());
        }
        return located;
    }

    /** Of a weekly meeting, beside its own weekdays, each date on which another weekday's timetable is followed. */
    private static Stream<Map<String, Object>> timetables(Meeting meeting, Schedule schedule) {
        if (!(meeting.timing() instanceof Timing.Weekly weekly)) {
            return Stream.of(timetable(meeting, schedule));
        }
        List<LocalDate> moved = new ArrayList<>(schedule.term().calendar().datesOf(weekly));
        moved.removeAll(TermCalendar.PLAIN.datesOf(weekly));
        return Stream.concat(
                Stream.of(timetable(meeting, schedule)),
                moved.stream()
                        .map(date -> timetable(
                                new Meeting(
                                        meeting.kind(),
                                        meeting.kindName(),
                                        new Timing.Once(date, weekly.hours()),
                                        meeting.place()),
                                schedule)));
    }

    private static Map<String, Object> timetable(Meeting meeting, Schedule schedule) {
        Map<String, Object> timetable = new LinkedHashMap<>();
        timetable.put("@type", "Schedule");
        timetable.put("name", meeting.kindName());
        timetable.put("scheduleTimezone", schedule.institution().zone().getId());
        if (meeting.timing() instanceof Timing.Weekly weekly) {
            dates(timetable, weekly.dates());
            hours(timetable, weekly.hours());
            timetable.put("repeatFrequency", "P" + weekly.everyWeeks() + "W");
            timetable.put(
                    "byDay", weekly.days().list().stream().map(LinkedData::day).toList());
            List<String> except = without(weekly, schedule.term().calendar());
            if (!except.isEmpty()) {
                timetable.put("exceptDate", except);
            }
        } else if (meeting.timing() instanceof Timing.Once once) {
            dates(timetable, new DateRange(once.date(), once.date()));
            hours(timetable, once.hours());
            timetable.put("repeatCount", 1);
        } else {
            Timing.Arranged arranged = (Timing.Arranged) meeting.timing();
            dates(timetable, arranged.dates());
            timetable.put("repeatFrequency", "P1W");
            timetable.put("description", arranged.hoursPerWeek().toPlainString() + " hours a week, at no set time");
        }
        return timetable;
    }

    /** The dates of its weekdays on which it is not held. */
    private static List<String> without(Timing.Weekly weekly, TermCalendar calendar) {
        List<LocalDate> plain = TermCalendar.PLAIN.datesOf(weekly);
        List<LocalDate> missing = new ArrayList<>(plain);
        missing.removeAll(calendar.datesOf(weekly));
        return missing.stream().map(LocalDate::toString).toList();
    }

    private static String day(DayOfWeek day) {
        return SCHEMA + day.name().charAt(0) + day.name().substring(1).toLowerCase(Locale.ROOT);
    }

    private static void dates(Map<String, Object> timetable, DateRange dates) {
        timetable.put("startDate", dates.first().toString());
        timetable.put("endDate", dates.last().toString());
    }

    private static void hours(Map<String, Object> timetable, TimeRange hours) {
        timetable.put("startTime", ClockTime.formatForPrograms(hours.start()));
        timetable.put("endTime", ClockTime.formatForPrograms(hours.end()));
    }
}
