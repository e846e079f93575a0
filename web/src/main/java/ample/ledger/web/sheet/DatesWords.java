package ample.ledger.web.sheet;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.TermCalendar.ExceptionalDay;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.calendar.WeekForm;
import ample.ledger.core.reading.BindingDate;
import ample.ledger.core.schedule.BindingRule;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.sheet.SheetPage.Binding;
import ample.ledger.web.sheet.SheetPage.Month;
import ample.ledger.web.sheet.SheetPage.Weeks;
import ample.ledger.web.words.Words;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** The dates of one section: those that bind, on a line of weeks and as a list, and those on which it is held. */
final class DatesWords {

    /** Of the drawing of the weeks, in its own measure. */
    static final int WIDTH = 340;

    /** So far apart are the marks of two dates at least, lest one hides the other. */
    private static final int APART = 17;

    private final Section section;
    private final TermCalendar calendar;
    private final WeekForm week;
    private final LocalDate today;
    private final DateRange dates;

    DatesWords(Section section, TermCalendar calendar, WeekForm week, LocalDate today) {
        this.section = section;
        this.calendar = calendar;
        this.week = week;
        this.today = today;
        this.dates = section.span().dates();
    }

    /** The dates that bind, in order. */
    List<Binding> binding(Collection<BindingRule> rules) {
        List<BindingDate> all = BindingDate.of(section.span(), rules);
        List<Binding> binding = new ArrayList<>();
        int least = 0;
        for (BindingDate each : all) {
            int x = Math.max(x(each.date()), least);
            least = x + APART;
            binding.add(new Binding(
                    binding.size() + 1,
                    Words.date(each.date()),
                    each.rule().name(),
                    each.rule().meaning().orElse(""),
                    each.date().isBefore(today),
                    x));
        }
        return binding;
    }

    /** The weeks of the span, those without a day of classes told from the others. */
    Weeks weeks() {
        StringBuilder ticks = new StringBuilder();
        StringBuilder off = new StringBuilder();
        LocalDate start = week.startOf(dates.first());
        for (; !start.isAfter(dates.last()); start = start.plusWeeks(1)) {
            if (start.isAfter(dates.first())) {
                ticks.append('M').append(x(start)).append(" 14v8");
            }
            LocalDate of = start;
            boolean free = of.datesUntil(of.plusDays(7))
                    .filter(day -> week.workdays().contains(day.getDayOfWeek()))
                    .allMatch(day -> calendar.timetableOf(day).isEmpty());
            if (free) {
                int from = x(of);
                off.append('M')
                        .append(from)
                        .append(" 14H")
                        .append(x(of.plusDays(7)))
                        .append("v8H")
                        .append(from)
                        .append('z');
            }
        }
        boolean during = dates.contains(today);
        return new Weeks(
                ticks.toString(),
                off.toString(),
                Words.day(dates.first()),
                Words.day(dates.last()),
                during ? x(today) : -1);
    }

    private int x(LocalDate date) {
        long days = ChronoUnit.DAYS.between(dates.first(), dates.last()) + 1;
        long at = Math.max(0, Math.min(days, ChronoUnit.DAYS.between(dates.first(), date)));
        return (int) (at * WIDTH / days);
    }

    /** The days on which it is held, month by month. */
    List<Month> held() {
        TreeSet<LocalDate> held = new TreeSet<>();
        section.timings().forEach(timing -> held.addAll(calendar.datesOf(timing)));
        Map<LocalDate, List<LocalDate>> months =
                new TreeMap<>(held.stream().collect(Collectors.groupingBy(date -> date.withDayOfMonth(1))));
        return months.entrySet().stream()
                .map(month -> new Month(
                        month.getKey().getMonth().getDisplayName(TextStyle.FULL, Locale.ENGLISH),
                        month.getValue().stream().sorted().map(this::day).collect(Collectors.joining(", "))))
                .toList();
    }

    /** "Tue 16 (as a Monday)". */
    private String day(LocalDate date) {
        String day =
                date.getDayOfWeek().getDisplayName(TextStyle.SHORT, Locale.ENGLISH) + "\u00a0" + date.getDayOfMonth();
        return calendar.timetableOf(date)
                .filter(followed -> followed != date.getDayOfWeek())
                .map(followed -> day + " (as a " + followed.getDisplayName(TextStyle.FULL, Locale.ENGLISH) + ")")
                .orElse(day);
    }

    /** The dates that the plain weeks would have and the calendar takes away, each with its reason. */
    List<String> leftOut() {
        TreeSet<LocalDate> plain = new TreeSet<>();
        TreeSet<LocalDate> held = new TreeSet<>();
        for (Timing timing : section.timings()) {
            plain.addAll(TermCalendar.PLAIN.datesOf(timing));
            held.addAll(calendar.datesOf(timing));
        }
        Map<String, List<LocalDate>> byReason = calendar.exceptions().stream()
                .filter(exception -> plain.contains(exception.date()) && !held.contains(exception.date()))
                .collect(Collectors.groupingBy(
                        ExceptionalDay::label,
                        LinkedHashMap::new,
                        Collectors.mapping(ExceptionalDay::date, Collectors.toList())));
        return byReason.entrySet().stream()
                .map(reason -> reason.getValue().stream().map(Words::date).collect(Collectors.joining(", ")) + ": "
                        + reason.getKey())
                .toList();
    }
}
