package ample.ledger.web.plan;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekForm;
import ample.ledger.core.calendar.WrittenDate;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.term.Addresses;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.util.MultiValueMap;

/**
 * What the address of My week asks to see.
 *
 * @param term the code of the term that it names
 * @param path where the plan is shown: My week, or an address of its own
 * @param week a day of the week that is shown; empty for the whole term at once
 * @param at the section that is selected, as {@link ample.ledger.web.term.Picked} has it; empty for none
 * @param day the day that a narrow screen shows; empty for the first one with something on it
 * @param weave what is to be woven
 */
record WeekAsk(
        TermCode term, String path, Optional<LocalDate> week, String at, Optional<DayOfWeek> day, WeaveAsk weave) {

    /** Of My week. */
    static WeekAsk of(TermCode term, MultiValueMap<String, String> parameters) {
        return of(term, "/" + term + "/week", parameters);
    }

    static WeekAsk of(TermCode term, String path, MultiValueMap<String, String> parameters) {
        return new WeekAsk(
                term,
                path,
                WrittenDate.parse(first(parameters, "week")),
                first(parameters, "at"),
                day(first(parameters, "day")),
                WeaveAsk.of(parameters));
    }

    static String first(MultiValueMap<String, String> parameters, String name) {
        String value = parameters.getFirst(name);
        return value == null ? "" : value.strip();
    }

    /** The days of the week that is shown; empty for the whole term at once. */
    Optional<DateRange> dates(WeekForm form) {
        return week.map(form::startOf).map(start -> new DateRange(start, start.plusDays(6)));
    }

    private static Optional<DayOfWeek> day(String text) {
        return Days.parseDay(text);
    }

    WeekAsk inWeek(Optional<LocalDate> other) {
        return new WeekAsk(term, path, other, at, day, weave);
    }

    WeekAsk at(String other) {
        return new WeekAsk(term, path, week, other, day, weave);
    }

    WeekAsk on(DayOfWeek other) {
        return new WeekAsk(term, path, week, at, Optional.of(other), weave);
    }

    WeekAsk weaving(WeaveAsk other) {
        return new WeekAsk(term, path, week, at, day, other);
    }

    /** The address that asks this. */
    String address() {
        String address = path;
        for (Map.Entry<String, String> parameter : Stream.concat(
                        Stream.of(
                                Map.entry("week", week.map(LocalDate::toString).orElse("")),
                                Map.entry("at", at),
                                Map.entry(
                                        "day",
                                        day.map(Days::shortName)
                                                .map(name -> name.toLowerCase(Locale.ROOT))
                                                .orElse(""))),
                        weave.parameters())
                .toList()) {
            if (!parameter.getValue().isEmpty()) {
                address = Addresses.with(address, parameter.getKey(), parameter.getValue());
            }
        }
        return address;
    }
}
