package ample.ledger.core.exchange;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.plan.BusyTime;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.io.TimezoneInfo;
import biweekly.io.text.ICalReader;
import biweekly.property.DateStart;
import biweekly.property.RecurrenceId;
import biweekly.property.RecurrenceRule;
import biweekly.property.Transparency;
import biweekly.util.Frequency;
import biweekly.util.com.google.ical.compat.javautil.DateIterator;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Date;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TimeZone;
import java.util.TreeSet;

/**
 * Reads busy times from a calendar file: iCalendar, RFC 5545, as any calendar writes it. Events are taken with their repeats and exceptions
 * as they fall into some dates, in the wall-clock time of one zone; what runs over midnight is two busy times. All-day events, and
 * those that their owner marked as free or cancelled, take no time.
 */
public final class BusyCalendar {

    /** More times of one event than these are not looked at. */
    private static final int MOST_TIMES = 5_000;

    /** More events than these are not looked at. */
    private static final int MOST_EVENTS = 2_000;

    private static final LocalTime END_OF_DAY = LocalTime.of(23, 59);

    private final ZoneId zone;
    private final DateRange within;
    private final Map<String, List<Occurrence>> bySummary = new LinkedHashMap<>();

    private BusyCalendar(ZoneId zone, DateRange within) {
        this.zone = zone;
        this.within = within;
    }

    /**
     * What a file says.
     *
     * @param busy those of one name and the same hours together, as weekly times with exceptions where that is what they are
     * @param allDay how many all-day events were passed over
     * @param outside how many events have no time in the dates that were asked for, or repeat within the day
     */
    public record Reading(List<BusyTime> busy, int allDay, int outside) {}

    private record Occurrence(LocalDate date, TimeRange hours) {}

    /**
     * The busy times of {@code text} that fall into {@code within}.
     *
     * @param zone whose wall clock is read
     * @return empty where the text is no calendar file
     */
    public static Optional<Reading> read(String text, ZoneId zone, DateRange within) {
        List<ICalendar> calendars = new ArrayList<>();
        TimezoneInfo zones = new TimezoneInfo();
        int allDay = 0;
        int outside = 0;
        BusyCalendar reading = new BusyCalendar(zone, within);
        try (ICalReader reader = new ICalReader(new StringReader(text))) {
            reader.setDefaultTimezone(TimeZone.getTimeZone(zone));
            for (ICalendar calendar = reader.readNext(); calendar != null; calendar = reader.readNext()) {
                calendars.add(calendar);
                zones = calendar.getTimezoneInfo();
                Map<String, Set<Instant>> moved = moved(calendar);
                for (VEvent event :
                        calendar.getEvents().stream().limit(MOST_EVENTS).toList()) {
                    DateStart start = event.getDateStart();
                    if (start == null || !takesTime(event)) {
                        continue;
                    }
                    if (!start.getValue().hasTime()) {
                        allDay++;
                    } else if (tooOften(event) || !reading.take(event, zones, moved)) {
                        outside++;
                    }
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return calendars.isEmpty() ? Optional.empty() : Optional.of(new Reading(reading.busy(), allDay, outside));
    }

    /** Whether it repeats so often that looking through its times would take long; no one is busy every minute. */
    private static boolean tooOften(VEvent event) {
        RecurrenceRule rule = event.getRecurrenceRule();
        Frequency frequency =
                rule == null || rule.getValue() == null ? null : rule.getValue().getFrequency();
        return frequency == Frequency.SECONDLY || frequency == Frequency.MINUTELY || frequency == Frequency.HOURLY;
    }

    private static boolean takesTime(VEvent event) {
        Transparency transparency = event.getTransparency();
        boolean free = transparency != null && transparency.isTransparent();
        boolean cancelled = event.getStatus() != null && event.getStatus().isCancelled();
        return !free && !cancelled;
    }

    /** By the event, the starts of those of its times that have an event of their own instead: RFC 5545, section 3.8.4.4. */
    private static Map<String, Set<Instant>> moved(ICalendar calendar) {
        Map<String, Set<Instant>> moved = new HashMap<>();
        for (VEvent event : calendar.getEvents()) {
            RecurrenceId instead = event.getRecurrenceId();
            if (instead != null && event.getUid() != null) {
                moved.computeIfAbsent(event.getUid().getValue(), absent -> new HashSet<>())
                        .add(instead.getValue().toInstant());
            }
        }
        return moved;
    }

    /** Whether any time of it falls into the dates. */
    private boolean take(VEvent event, TimezoneInfo zones, Map<String, Set<Instant>> moved) {
        Duration length = length(event);
        if (length.isZero() || length.isNegative()) {
            return false;
        }
        String uid = event.getUid() == null ? "" : event.getUid().getValue();
        Set<Instant> elsewhere = event.getRecurrenceId() == null ? moved.getOrDefault(uid, Set.of()) : Set.of();
        TimeZone own = zones.getTimezone(event.getDateStart()) == null
                ? TimeZone.getTimeZone(zone)
                : zones.getTimezone(event.getDateStart()).getTimeZone();
        Instant from = within.first().atStartOfDay(zone).toInstant();
        Instant to = within.last().plusDays(1).atStartOfDay(zone).toInstant();
        DateIterator starts = event.getDateIterator(own);
        starts.advanceTo(Date.from(from.minus(length)));
        boolean taken = false;
        for (int times = 0; starts.hasNext() && times < MOST_TIMES; times++) {
            Instant start = starts.next().toInstant();
            if (!start.isBefore(to)) {
                break;
            }
            if (!elsewhere.contains(start) && start.plus(length).isAfter(from)) {
                add(name(event), start, start.plus(length));
                taken = true;
            }
        }
        return taken;
    }

    private static Duration length(VEvent event) {
        if (event.getDateEnd() != null) {
            return Duration.between(
                    event.getDateStart().getValue().toInstant(),
                    event.getDateEnd().getValue().toInstant());
        }
        return event.getDuration() == null
                ? Duration.ZERO
                : Duration.ofMillis(event.getDuration().getValue().toMillis());
    }

    private static String name(VEvent event) {
        String summary = event.getSummary() == null ? "" : event.getSummary().getValue();
        return summary == null || summary.isBlank() ? "Busy" : summary.strip();
    }

    private void add(String name, Instant start, Instant end) {
        ZonedDateTime from = start.atZone(zone);
        ZonedDateTime to = end.atZone(zone);
        for (LocalDate date = from.toLocalDate(); !date.isAfter(to.toLocalDate()); date = date.plusDays(1)) {
            LocalTime begins = date.equals(from.toLocalDate())
                    ? from.toLocalTime().truncatedTo(ChronoUnit.MINUTES)
                    : LocalTime.MIDNIGHT;
            LocalTime ends =
                    date.equals(to.toLocalDate()) ? to.toLocalTime().truncatedTo(ChronoUnit.MINUTES) : END_OF_DAY;
            if (begins.isBefore(ends) && within.contains(date)) {
                bySummary
                        .computeIfAbsent(name, absent -> new ArrayList<>())
                        .add(new Occurrence(date, new TimeRange(begins, ends)));
            }
        }
    }

    private List<BusyTime> busy() {
        List<BusyTime> busy = new ArrayList<>();
        bySummary.forEach((name, occurrences) -> {
            Map<TimeRange, TreeSet<LocalDate>> byHours = new LinkedHashMap<>();
            occurrences.forEach(occurrence -> byHours.computeIfAbsent(occurrence.hours(), absent -> new TreeSet<>())
                    .add(occurrence.date()));
            byHours.forEach((hours, dates) -> busy.addAll(asTimings(name, hours, dates)));
        });
        return busy;
    }

    /** One weekly time with exceptions, where these are fewer than the dates that it has; otherwise one time for each date. */
    private static Collection<BusyTime> asTimings(String name, TimeRange hours, TreeSet<LocalDate> dates) {
        Days days = Days.of(dates.stream().map(LocalDate::getDayOfWeek).toList());
        for (int everyWeeks = 1; everyWeeks <= 2; everyWeeks++) {
            Timing.Weekly weekly =
                    new Timing.Weekly(days, hours, new DateRange(dates.first(), dates.last()), everyWeeks);
            TreeSet<LocalDate> plain = new TreeSet<>(TermCalendar.PLAIN.datesOf(weekly));
            TreeSet<LocalDate> except = new TreeSet<>(plain);
            except.removeAll(dates);
            if (dates.size() > 1 && plain.containsAll(dates) && except.size() * 3 <= dates.size()) {
                return List.of(new BusyTime(name, weekly, except));
            }
        }
        return dates.stream()
                .map(date -> new BusyTime(name, new Timing.Once(date, hours)))
                .toList();
    }
}
