package ample.ledger.web.plan;

import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WrittenDate;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.term.Addresses;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
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
 * @param monday of the week of term that is shown; empty for all of it at once
 * @param at the section that is selected, as {@link ample.ledger.web.term.Picked} has it; empty for none
 * @param day the day that a narrow screen shows; empty for the first one with something on it
 * @param weave what is to be woven
 */
record WeekAsk(
        TermCode term, String path, Optional<LocalDate> monday, String at, Optional<DayOfWeek> day, WeaveAsk weave) {

    /** Of My week. */
    static WeekAsk of(TermCode term, MultiValueMap<String, String> parameters) {
        return of(term, "/" + term + "/week", parameters);
    }

    static WeekAsk of(TermCode term, String path, MultiValueMap<String, String> parameters) {
        return new WeekAsk(
                term,
                path,
                monday(first(parameters, "week")),
                first(parameters, "at"),
                day(first(parameters, "day")),
                WeaveAsk.of(parameters));
    }

    static String first(MultiValueMap<String, String> parameters, String name) {
        String value = parameters.getFirst(name);
        return value == null ? "" : value.strip();
    }

    private static Optional<LocalDate> monday(String text) {
        return WrittenDate.parse(text).map(date -> date.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)));
    }

    private static Optional<DayOfWeek> day(String text) {
        return Days.parseDay(text);
    }

    WeekAsk inWeek(Optional<LocalDate> other) {
        return new WeekAsk(term, path, other, at, day, weave);
    }

    WeekAsk at(String other) {
        return new WeekAsk(term, path, monday, other, day, weave);
    }

    WeekAsk on(DayOfWeek other) {
        return new WeekAsk(term, path, monday, at, Optional.of(other), weave);
    }

    WeekAsk weaving(WeaveAsk other) {
        return new WeekAsk(term, path, monday, at, day, other);
    }

    /** The address that asks this. */
    String address() {
        String address = path;
        for (Map.Entry<String, String> parameter : Stream.concat(
                        Stream.of(
                                Map.entry(
                                        "week", monday.map(LocalDate::toString).orElse("")),
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
