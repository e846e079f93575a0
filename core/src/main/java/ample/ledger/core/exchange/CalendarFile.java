package ample.ledger.core.exchange;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PlanDate;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.zone.ZoneOffsetTransition;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The meetings and exams of sections as a calendar file: iCalendar, RFC 5545.
 *
 * <p>A weekly meeting is one event with a rule; the dates that the term leaves out are its exceptions, and those on which another
 * weekday's timetable is followed are added. Times are those of the institution's wall clock. The changes of its zone in these
 * years stand in the file too, so that a meeting keeps its hour when summer time begins or ends. Arranged hours have no time
 * and are
 * left out. No event brings an alarm.
 */
public final class CalendarFile {

    private static final DateTimeFormatter LOCAL = DateTimeFormatter.ofPattern("yyyyMMdd'T'HHmmss");
    private static final DateTimeFormatter UTC = DateTimeFormatter.ofPattern("yyyyMMdd'T'HHmmss'Z'");

    /** Octets of a line before it is folded, without the line break: RFC 5545, section 3.1. */
    private static final int LINE = 75;

    private final StringBuilder text = new StringBuilder();
    private final String stamp;
    private final ToIntFunction<TermCode> editions;

    private CalendarFile(ToIntFunction<TermCode> editions, Instant now) {
        this.editions = editions;
        this.stamp = UTC.format(LocalDateTime.ofInstant(now, ZoneOffset.UTC));
    }

    /**
     * The file of {@code sections}, all of them of {@code schedule}. What is cancelled is said to be: a calendar that had it before takes it out.
     *
     * @param edition the number of the edition that {@code schedule} is. Events carry it as their sequence, RFC 5545, section 3.8.7.4: of two files a
     *     calendar takes what the later edition says
     * @param now the moment it is made
     */
    public static String of(Collection<Section> sections, Schedule schedule, int edition, Instant now) {
        return of(Attendance.of(sections, schedule), List.of(), term -> edition, now);
    }

    /**
     * The same of sections of several terms, with other dates of a plan; exams among these are passed over, since they stand with their sections.
     *
     * @param editions the number of the edition of each term
     */
    public static String of(
            Collection<Attendance> attendances,
            Collection<PlanDate> others,
            ToIntFunction<TermCode> editions,
            Instant now) {
        CalendarFile file = new CalendarFile(editions, now);
        file.line("BEGIN:VCALENDAR");
        file.line("VERSION:2.0");
        file.line("PRODID:-//Ample Ledger//Schedule of classes//EN");
        file.line("CALSCALE:GREGORIAN");
        Map<ZoneId, List<Attendance>> held = attendances.stream()
                .collect(Collectors.groupingBy(
                        attendance -> attendance.schedule().institution().zone(),
                        LinkedHashMap::new,
                        Collectors.toList()));
        held.forEach(file::zone);
        held.values().forEach(some -> some.forEach(file::attendance));
        others.forEach(file::other);
        file.line("END:VCALENDAR");
        return file.text.toString();
    }

    private void attendance(Attendance attendance) {
        Section section = attendance.section();
        List<Meeting> all = Stream.concat(section.meetings().stream(), section.exams().stream())
                .toList();
        for (int i = 0; i < all.size(); i++) {
            Meeting meeting = all.get(i);
            Optional<TimeRange> time = meeting.timing().time();
            List<LocalDate> dates = attendance.term().calendar().datesOf(meeting.timing());
            if (time.isPresent() && !dates.isEmpty()) {
                event(attendance, i, meeting, time.get(), dates);
            }
        }
    }

    private void other(PlanDate date) {
        if (date instanceof PlanDate.Opens opens) {
            ZoneId zone = opens.schedule().institution().zone();
            begin(opens.schedule(), "opening-" + opens.opening().code());
            line("DTSTART;TZID=" + zone + ":" + LOCAL.format(opens.at()));
            end("Registration opens for " + opens.opening().name(), "");
        } else if (date instanceof PlanDate.SeatKept kept) {
            begin(kept.schedule(), kept.attendance().section().entry() + "-kept-" + kept.at());
            line("DTSTART;TZID=" + kept.schedule().institution().zone() + ":" + LOCAL.format(kept.at()));
            end("Last moment to take up the seat in " + kept.attendance(), "");
        } else if (date instanceof PlanDate.Binds binds) {
            begin(binds.schedule(), binds.rule().code() + "-" + binds.date());
            line("DTSTART;VALUE=DATE:" + DateTimeFormatter.BASIC_ISO_DATE.format(binds.date()));
            end(
                    binds.rule().name() + ": "
                            + binds.sections().stream()
                                    .map(bound -> bound.section().course().written())
                                    .collect(Collectors.joining(", ")),
                    binds.rule().meaning().orElse(""));
        }
    }

    private void begin(Schedule schedule, String name) {
        line("BEGIN:VEVENT");
        line("UID:%s-%s@%s"
                .formatted(
                        schedule.term().code().text(),
                        name,
                        schedule.institution().code()));
        line("DTSTAMP:" + stamp);
        line("SEQUENCE:" + editions.applyAsInt(schedule.term().code()));
    }

    /** It takes no time of the student's. */
    private void end(String summary, String description) {
        line("TRANSP:TRANSPARENT");
        line("SUMMARY:" + escaped(summary));
        if (!description.isEmpty()) {
            line("DESCRIPTION:" + escaped(description));
        }
        line("END:VEVENT");
    }

    private static LocalDateTime end(LocalDate date, TimeRange time) {
        return time.end().equals(ClockTime.END_OF_DAY) ? date.plusDays(1).atStartOfDay() : date.atTime(time.end());
    }

    private void event(Attendance attendance, int number, Meeting meeting, TimeRange time, List<LocalDate> dates) {
        Section section = attendance.section();
        ZoneId zone = attendance.schedule().institution().zone();
        begin(attendance.schedule(), section.entry() + "-" + number);
        // What the plain weeks give, and of it what is held; the first that is both begins the event.
        List<LocalDate> plain = TermCalendar.PLAIN.datesOf(meeting.timing());
        LocalDate first = plain.stream().filter(dates::contains).findFirst().orElse(dates.get(0));
        line("DTSTART;TZID=" + zone + ":" + LOCAL.format(first.atTime(time.start())));
        line("DTEND;TZID=" + zone + ":" + LOCAL.format(end(first, time)));
        if (meeting.timing() instanceof Timing.Weekly weekly && plain.contains(first)) {
            List<LocalDate> fromFirst =
                    plain.stream().filter(date -> !date.isBefore(first)).toList();
            rule(weekly, time.start(), fromFirst.get(fromFirst.size() - 1), zone);
            dates(
                    "EXDATE",
                    time,
                    zone,
                    fromFirst.stream().filter(date -> !dates.contains(date)).toList());
            dates(
                    "RDATE",
                    time,
                    zone,
                    dates.stream().filter(date -> !fromFirst.contains(date)).toList());
        } else {
            dates(
                    "RDATE",
                    time,
                    zone,
                    dates.stream().filter(date -> !date.equals(first)).toList());
        }
        if (section.cancelled()) {
            line("STATUS:CANCELLED");
        }
        line("SUMMARY:"
                + escaped((section.cancelled() ? "Cancelled: " : "") + section + " "
                        + section.course().title() + ", " + meeting.kindName()));
        line("LOCATION:" + escaped(meeting.place().inWords()));
        line("DESCRIPTION:"
                + escaped("Entry number " + section.entry() + ". "
                        + (section.instructors().isEmpty()
                                ? "Instructor to be announced."
                                : section.instructors().stream()
                                                .map(who -> who.name())
                                                .collect(Collectors.joining(", "))
                                        + ".")));
        line("END:VEVENT");
    }

    private void rule(Timing.Weekly weekly, LocalTime start, LocalDate last, ZoneId zone) {
        String days = weekly.days().list().stream().map(CalendarFile::code).collect(Collectors.joining(","));
        // UNTIL is in UTC where the start names a zone: RFC 5545, section 3.3.10.
        String until = UTC.format(last.atTime(start).atZone(zone).withZoneSameInstant(ZoneOffset.UTC));
        line("RRULE:FREQ=WEEKLY;INTERVAL=%d;WKST=%s;BYDAY=%s;UNTIL=%s"
                .formatted(weekly.everyWeeks(), code(weekly.counted().getDayOfWeek()), days, until));
    }

    private void dates(String property, TimeRange time, ZoneId zone, List<LocalDate> dates) {
        if (!dates.isEmpty()) {
            line(property + ";TZID=" + zone + ":"
                    + dates.stream()
                            .map(date -> LOCAL.format(date.atTime(time.start())))
                            .collect(Collectors.joining(",")));
        }
    }

    /** The zone with every change of its offset from a year before the sections begin to a year after they end. */
    private void zone(ZoneId zone, List<Attendance> attendances) {
        TreeSet<LocalDate> bounds = new TreeSet<>();
        for (Attendance attendance : attendances) {
            DateRange dates = attendance.section().span().dates();
            bounds.add(dates.first());
            bounds.add(dates.last());
        }
        Instant from = bounds.first().minusYears(1).atStartOfDay(zone).toInstant();
        Instant to = bounds.last().plusYears(1).atStartOfDay(zone).toInstant();
        line("BEGIN:VTIMEZONE");
        line("TZID:" + zone);
        ZoneOffset before = zone.getRules().getOffset(from);
        observance("STANDARD", LocalDateTime.ofInstant(from, before), before, before);
        List<ZoneOffsetTransition> changes = new ArrayList<>();
        for (ZoneOffsetTransition next = zone.getRules().nextTransition(from);
                next != null && next.getInstant().isBefore(to);
                next = zone.getRules().nextTransition(next.getInstant())) {
            changes.add(next);
        }
        for (ZoneOffsetTransition change : changes) {
            boolean summer = zone.getRules().isDaylightSavings(change.getInstant());
            observance(
                    summer ? "DAYLIGHT" : "STANDARD",
                    change.getDateTimeBefore(),
                    change.getOffsetBefore(),
                    change.getOffsetAfter());
        }
        line("END:VTIMEZONE");
    }

    private void observance(String kind, LocalDateTime start, ZoneOffset before, ZoneOffset after) {
        line("BEGIN:" + kind);
        line("DTSTART:" + LOCAL.format(start));
        line("TZOFFSETFROM:" + offset(before));
        line("TZOFFSETTO:" + offset(after));
        line("END:" + kind);
    }

    private static String offset(ZoneOffset offset) {
        int minutes = Math.abs(offset.getTotalSeconds()) / 60;
        return "%s%02d%02d".formatted(offset.getTotalSeconds() < 0 ? "-" : "+", minutes / 60, minutes % 60);
    }

    private static String code(DayOfWeek day) {
        return day.name().substring(0, 2);
    }

    /** RFC 5545, section 3.3.11. */
    private static String escaped(String words) {
        return words.replace("\\", "\\\\")
                .replace(";", "\\;")
                .replace(",", "\\,")
                .replace("\r\n", "\\n")
                .replace("\n", "\\n");
    }

    /** One content line, folded before it is longer than 75 octets, never inside a character: RFC 5545, section 3.1. */
    private void line(String content) {
        int octets = 0;
        for (int at = 0; at < content.length(); at = content.offsetByCodePoints(at, 1)) {
            String character = content.substring(at, content.offsetByCodePoints(at, 1));
            int size = character.getBytes(StandardCharsets.UTF_8).length;
            if (octets + size > LINE) {
                text.append("\r\n ");
                octets = 1;
            }
            text.append(character);
            octets += size;
        }
        text.append("\r\n");
    }
}
