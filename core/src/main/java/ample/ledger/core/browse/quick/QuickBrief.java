package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.Between;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Dates;
import ample.ledger.core.browse.brief.Entries;
import ample.ledger.core.browse.brief.Having;
import ample.ledger.core.browse.brief.Mentioning;
import ample.ledger.core.browse.brief.Not;
import ample.ledger.core.browse.brief.NumberPattern;
import ample.ledger.core.browse.brief.Numbers;
import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.browse.brief.Seats;
import ample.ledger.core.browse.brief.Timed;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.schedule.EntryNumber;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;

/** Gathers what a line of text says into one brief: values of one topic together, bounds on one topic narrowed. */
final class QuickBrief {

    private final Map<Facet, Set<String>> wanted = new LinkedHashMap<>();
    private final Map<Facet, Set<String>> refused = new LinkedHashMap<>();
    private final Map<Facet, Facet.Match> matches = new HashMap<>();
    private final List<NumberPattern> numbers = new ArrayList<>();
    private final List<String> words = new ArrayList<>();
    private final Set<EntryNumber> entries = new TreeSet<>();
    private Days days = Days.NONE;
    private Days refusedDays = Days.NONE;
    private OnDays.Rule rule = OnDays.Rule.ONLY;
    private Optional<LocalTime> from = Optional.empty();
    private Optional<LocalTime> to = Optional.empty();
    private Optional<LocalDate> starts = Optional.empty();
    private Optional<LocalDate> ends = Optional.empty();
    private OptionalInt weeks = OptionalInt.empty();
    private Optional<Boolean> timed = Optional.empty();
    private int seats;
    private OptionalInt waiting = OptionalInt.empty();

    void values(Facet facet, Set<String> codes, boolean not) {
        (not ? refused : wanted)
                .computeIfAbsent(facet, absent -> new TreeSet<>())
                .addAll(codes);
    }

    void match(Facet facet, Facet.Match match) {
        matches.put(facet, match);
    }

    void number(NumberPattern number) {
        numbers.add(number);
    }

    void word(String word) {
        words.add(word);
    }

    void entry(EntryNumber entry) {
        entries.add(entry);
    }

    void days(Days more, boolean not) {
        if (not) {
            refusedDays = refusedDays.plus(more);
        } else {
            days = days.plus(more);
        }
    }

    void rule(OnDays.Rule how) {
        rule = how;
    }

    void from(LocalTime time) {
        from = Optional.of(from.filter(time::isBefore).orElse(time));
    }

    void to(LocalTime time) {
        to = Optional.of(to.filter(time::isAfter).orElse(time));
    }

    void starts(LocalDate date) {
        starts = Optional.of(date);
    }

    void ends(LocalDate date) {
        ends = Optional.of(date);
    }

    void weeks(int most) {
        weeks = OptionalInt.of(most);
    }

    void timed(boolean only) {
        timed = Optional.of(only);
    }

    void seats(int atLeast) {
        seats = Math.max(seats, atLeast);
    }

    void waiting(int most) {
        waiting = OptionalInt.of(most);
    }

    Brief brief() {
        List<Condition> conditions = new ArrayList<>();
        courses(conditions);
        for (Facet facet : Facet.values()) {
            values(facet).ifPresent(conditions::add);
        }
        if (!words.isEmpty()) {
            conditions.add(new Mentioning(String.join(" ", words)));
        }
        if (!entries.isEmpty()) {
            conditions.add(new Entries(entries));
        }
        onDays().ifPresent(conditions::add);
        boolean backwards = from.isPresent() && to.isPresent() && !from.get().isBefore(to.get());
        if (from.isPresent() || to.isPresent()) {
            // "after 3 before 9" leaves no time; the later thing said of the end of a day is let go.
            conditions.add(new Between(from, backwards ? Optional.empty() : to));
        }
        timed.map(only -> only ? new Timed() : new Not(new Timed())).ifPresent(conditions::add);
        boolean never = starts.isPresent() && ends.isPresent() && starts.get().isAfter(ends.get());
        if (starts.isPresent() || ends.isPresent() || weeks.isPresent()) {
            conditions.add(new Dates(starts, never ? Optional.empty() : ends, weeks));
        }
        if (seats > 0 || waiting.isPresent()) {
            conditions.add(new Seats(seats, waiting));
        }
        return new Brief(conditions);
    }

    /** Numbers, and subjects as numbers of any kind where some numbers are of a subject: "glac 240, tide". */
    private void courses(List<Condition> conditions) {
        boolean named = numbers.stream().anyMatch(number -> !number.subject().isEmpty());
        Set<String> subjects = wanted.getOrDefault(Facet.SUBJECT, Set.of());
        if (named) {
            subjects.forEach(subject -> numbers.add(NumberPattern.any(subject.toLowerCase(Locale.ROOT))));
            wanted.remove(Facet.SUBJECT);
        }
        if (!numbers.isEmpty()) {
            conditions.add(new Numbers(numbers));
        }
    }

    private Optional<Condition> values(Facet facet) {
        Set<String> codes = new TreeSet<>(wanted.getOrDefault(facet, Set.of()));
        Set<String> no = refused.getOrDefault(facet, Set.of());
        if (!codes.isEmpty()) {
            codes.removeAll(no);
        }
        if (!codes.isEmpty()) {
            return Optional.of(new Having(facet, codes, matches.getOrDefault(facet, Facet.Match.ANY)));
        }
        return no.isEmpty() ? Optional.empty() : Optional.of(new Not(Having.any(facet, no)));
    }

    private Optional<Condition> onDays() {
        Days left = new Days(days.mask() & ~refusedDays.mask());
        if (!left.isEmpty()) {
            return Optional.of(new OnDays(rule, left));
        }
        return refusedDays.isEmpty() ? Optional.empty() : Optional.of(new OnDays(OnDays.Rule.NONE, refusedDays));
    }
}
