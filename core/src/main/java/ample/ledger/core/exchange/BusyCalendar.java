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
import biweekly.property.ExceptionRule;
import biweekly.property.RecurrenceId;
import biweekly.property.RecurrenceRule;
import biweekly.property.Transparency;
import biweekly.util.Frequency;
import biweekly.util.Recurrence;
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
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TimeZone;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;

/**
 * Reads busy times from a calendar file: iCalendar, RFC 5545, as any calendar writes it. Events are taken with their repeats and exceptions
 * as they fall into some dates, in the wall-clock time of one zone; what runs over midnight is two busy times. All-day events, and
 * those that their owner marked as free or cancelled, take no time.
 */
public final class BusyCalendar {

    /** A busy hour of every day of a year, fifty times over. A file with more is refused. */
    private static final int MOST_TIMES = 20_000;

    /** An event repeats by one rule; RFC 5545 advises against more. */
    private static final int MOST_RULES = 4;

    private static final int LONGEST_INTERVAL = 1_000;

    /** What began earlier and still goes on is hardly a shift. */
    private static final Instant EARLIEST = Instant.parse("1970-01-01T00:00:00Z");

    /** So often it is asked whether there is time left. */
    private static final int ASK_EVERY = 64;

    private static final LocalTime END_OF_DAY = LocalTime.of(23, 59);

    private final ZoneId zone;
    private final DateRange within;
    private final BooleanSupplier outOfTime;
    private final Map<String, List<Occurrence>> bySummary = new LinkedHashMap<>();
    private int times;

    private BusyCalendar(ZoneId zone, DateRange within, BooleanSupplier outOfTime) {
        this.zone = zone;
        this.within = within;
        this.outOfTime = outOfTime;
    }

    /**
     * What a file says.
     *
     * @param busy those of one name and the same hours together, as weekly times with exceptions where that is what they are
     * @param allDay how many all-day events were passed over
     * @param outside how many events have no time in the dates that were asked for, or repeat in a way that nobody is busy
     */
    public record Reading(List<BusyTime> busy, int allDay, int outside) {}

    private record Occurrence(LocalDate date, TimeRange hours) {}

    /**
     * The busy times of {@code text} that fall into {@code within}.
     *
     * @param zone whose wall clock is read
     * @param outOfTime whether reading has taken too long; asked again and again
     * @return empty where the text is no calendar file
     * @throws CalendarRefusedException when it asks for too much work, or is out of time
     */
    public static Optional<Reading> read(String text, ZoneId zone, DateRange within, BooleanSupplier outOfTime) {
        CalendarLimits.check(text);
        boolean any = false;
        int allDay = 0;
        int outside = 0;
        BusyCalendar reading = new BusyCalendar(zone, within, outOfTime);
        try (ICalReader reader = new ICalReader(new StringReader(text))) {
            reader.setDefaultTimezone(TimeZone.getTimeZone(zone));
            for (ICalendar calendar = reader.readNext(); calendar != null; calendar = reader.readNext()) {
                any = true;
                TimezoneInfo zones = calendar.getTimezoneInfo();
                Map<String, Set<Instant>> moved = moved(calendar);
                for (VEvent event : calendar.getEvents()) {
                    reading.hurry();
                    DateStart start = event.getDateStart();
                    if (start == null || !takesTime(event)) {
                        continue;
                    }
                    if (!start.getValue().hasTime()) {
                        allDay++;
                    } else if (asksTooMuch(event) || !reading.take(event, zones, moved)) {
                        outside++;
                    }
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return !any ? Optional.empty() : Optional.of(new Reading(reading.busy(), allDay, outside));
    }

    private void countOne() {
        if (++times > MOST_TIMES) {
            throw new CalendarRefusedException(
                    "its events repeat more than %,d times in these dates; export fewer months".formatted(MOST_TIMES));
        }
        if (times % ASK_EVERY == 0) {
            hurry();
        }
    }

    private void hurry() {
        if (outOfTime.getAsBoolean()) {
            throw new CalendarRefusedException(
                    "reading it took longer than a calendar should take; export fewer months");
        }
    }

    /**
     * Whether looking through its times would take long: no one is busy every minute. Rules of what is not (EXRULE) were taken out
     * of the standard, and can exclude everything for ever.
     */
    private static boolean asksTooMuch(VEvent event) {
        List<RecurrenceRule> rules = event.getProperties(RecurrenceRule.class);
        return rules.size() > MOST_RULES
                || event.getDateStart().getValue().toInstant().isBefore(EARLIEST)
                || !event.getProperties(ExceptionRule.class).isEmpty()
                || rules.stream()
                        .map(rule -> rule.getValue())
                        .filter(Objects::nonNull)
                        .anyMatch(BusyCalendar::asksTooMuch);
    }

    private static boolean asksTooMuch(Recurrence rule) {
        Frequency frequency = rule.getFrequency();
        Integer interval = rule.getInterval();
        return frequency == Frequency.SECONDLY
                || frequency == Frequency.MINUTELY
                || frequency == Frequency.HOURLY
                || rule.getByHour().size() > 1
                || rule.getByMinute().size() > 1
                || rule.getBySecond().size() > 1
                || interval != null && (interval < 1 || interval > LONGEST_INTERVAL);
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
        // What began earlier is left out; the iterator takes a year before our era for one of it.
        Instant first = from.minus(length);
        starts.advanceTo(Date.from(first.isBefore(EARLIEST) ? EARLIEST : first));
        boolean taken = false;
        while (starts.hasNext()) {
            countOne();
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
        Optional<DateRange> dates = new DateRange(from.toLocalDate(), to.toLocalDate()).overlap(within);
        if (dates.isEmpty()) {
            return;
        }
        for (LocalDate date : dates.get().dates().toList()) {
            LocalTime begins = date.equals(from.toLocalDate())
                    ? from.toLocalTime().truncatedTo(ChronoUnit.MINUTES)
                    : LocalTime.MIDNIGHT;
            LocalTime ends =
                    date.equals(to.toLocalDate()) ? to.toLocalTime().truncatedTo(ChronoUnit.MINUTES) : END_OF_DAY;
            if (begins.isBefore(ends)) {
                countOne();
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
    private static Collection<BusyTime> asTimings(String name, TimeRange hours, SortedSet<LocalDate> dates) {
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
