package ample.ledger.web.plan;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.WeekForm;
import ample.ledger.core.plan.Load;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.Stay;
import ample.ledger.core.schedule.Term;
import ample.ledger.web.plan.WeekPage.WeekOfTerm;
import ample.ledger.web.words.Words;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The weeks of term to choose from. */
record WeeksOfTerm(PlannedWeek week, Term term, WeekForm form, WeekAsk ask) {

    /** Pixels of the week with most class. */
    private static final int HIGHEST = 19;

    /** Every week of term, with how much of it is class. */
    List<WeekOfTerm> scrub(Load load) {
        DateRange dates = load.weeks().isEmpty()
                ? term.dates()
                : new DateRange(
                        earlier(term.dates().first(), load.weeks().get(0).start()),
                        later(term.dates().last(), inTerms(load)));
        BigDecimal most = load.weeks().stream().map(Load.Week::classHours).reduce(BigDecimal.ONE, BigDecimal::max);
        List<WeekOfTerm> weeks = new ArrayList<>();
        for (LocalDate start = form.startOf(dates.first()); !start.isAfter(dates.last()); start = start.plusWeeks(1)) {
            weeks.add(weekOfTerm(start, load, most));
        }
        return weeks;
    }

    /** The last day of the season's terms that anything reaches into: a course of both terms does not draw the second one. */
    private LocalDate inTerms(Load load) {
        LocalDate last = load.weeks().get(load.weeks().size() - 1).start().plusDays(6);
        return earlier(last, week.posted().dates(week.plan().season()).last());
    }

    private static LocalDate earlier(LocalDate one, LocalDate other) {
        return one.isBefore(other) ? one : other;
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }

    private WeekOfTerm weekOfTerm(LocalDate start, Load load, BigDecimal most) {
        DateRange dates = new DateRange(start, start.plusDays(6));
        int exams = (int) stays().filter(Stay::exam)
                .flatMap(stay -> stay.dates().stream())
                .filter(dates::contains)
                .count();
        List<String> off = term.calendar().exceptions().stream()
                .filter(exception -> dates.contains(exception.date()))
                .map(exception -> exception.follows().isPresent()
                        ? "%s follows %s"
                                .formatted(
                                        Words.date(exception.date()),
                                        Days.shortName(exception.follows().get()))
                        : exception.label())
                .distinct()
                .toList();
        boolean allOff = dates.dates()
                .filter(date -> form.workdays().contains(date.getDayOfWeek()))
                .allMatch(date -> term.calendar().timetableOf(date).isEmpty());
        Optional<Load.Week> hours =
                load.weeks().stream().filter(one -> one.start().equals(start)).findFirst();
        String title = Stream.of(
                        Stream.of("Week of " + Words.date(start)),
                        hours.stream().map(one -> Words.hours(one.classHours()) + " in class"),
                        exams == 0 ? Stream.<String>of() : Stream.of(Words.count(exams, "exam")),
                        off.stream())
                .flatMap(some -> some)
                .collect(Collectors.joining(", "));
        boolean chosen = ask.dates(form).filter(dates::equals).isPresent();
        int height = hours.map(one -> one.classHours()
                        .multiply(BigDecimal.valueOf(HIGHEST))
                        .divide(most, 0, RoundingMode.CEILING)
                        .intValue())
                .orElse(0);
        return new WeekOfTerm(
                Words.day(start),
                title,
                ask.inWeek(chosen ? Optional.empty() : Optional.of(start)).address() + "#bands",
                chosen,
                allOff,
                exams,
                Math.min(HIGHEST, height));
    }

    private Stream<Stay> stays() {
        return week.attended().stream().flatMap(attendance -> attendance.stays().stream());
    }

    /** What is said of the week or the term that is shown. */
    String around() {
        Optional<DateRange> shown = ask.dates(form);
        if (shown.isEmpty()) {
            return "The whole of " + term.season().name() + ": upper lane first half, lower lane second half.";
        }
        DateRange dates = shown.get();
        String off = term.calendar().exceptions().stream()
                .filter(exception -> dates.contains(exception.date()))
                .collect(Collectors.groupingBy(
                        TermCalendar.ExceptionalDay::label, LinkedHashMap::new, Collectors.toList()))
                .entrySet()
                .stream()
                .map(label -> Words.date(label.getValue().get(0).date())
                        + (label.getValue().size() == 1
                                ? ""
                                : " to "
                                        + Words.date(label.getValue()
                                                .get(label.getValue().size() - 1)
                                                .date()))
                        + " " + label.getKey())
                .collect(Collectors.joining("; "));
        return "The week of " + Words.date(dates.first()) + (off.isEmpty() ? "." : ": " + off + ".");
    }
}
