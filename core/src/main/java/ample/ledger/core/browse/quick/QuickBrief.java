package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.Between;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Closed;
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
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.schedule.EntryNumber;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;

/**
 * Gathers what a line of text says into one brief: values of one topic together, bounds on one topic narrowed. A brief has one condition a topic,
 * so that not everything can be said beside everything else; what is left out is named by its topic.
 */
final class QuickBrief {

    /** A section or a course may have several values of these: to ask for one of them does not rule another out. */
    private static final Set<Facet> SEVERAL =
            EnumSet.of(Facet.PROGRAMME, Facet.REQUIREMENT, Facet.KIND, Facet.INSTRUCTOR, Facet.BUILDING);

    private final Sides<String> words = new Sides<>();
    private final Sides<NumberPattern> numbers = new Sides<>();
    private final Sides<EntryNumber> entries = new Sides<>();
    private final Sides<Boolean> timed = new Sides<>();
    private final Sides<Integer> seats = new Sides<>();
    private final Sides<Integer> waiting = new Sides<>();
    private final Map<Facet, Sides<String>> values = new EnumMap<>(Facet.class);
    private final Set<Topic> wishesLost = EnumSet.noneOf(Topic.class);
    private final Set<Topic> denialsLost = EnumSet.noneOf(Topic.class);
    private Days days = Days.NONE;
    private Days refusedDays = Days.NONE;
    private OnDays.Rule rule = OnDays.Rule.ONLY;
    private Optional<LocalTime> from = Optional.empty();
    private Optional<LocalTime> to = Optional.empty();
    private boolean evening;
    private WeekHours closed = WeekHours.NONE;
    private WeekHours meeting = WeekHours.NONE;
    private Optional<LocalDate> starts = Optional.empty();
    private Optional<LocalDate> ends = Optional.empty();
    private OptionalInt weeks = OptionalInt.empty();

    /** What is asked for of one kind, and what is denied. */
    private static final class Sides<T> {

        private final Set<T> asked = new LinkedHashSet<>();
        private final Set<T> denied = new LinkedHashSet<>();

        void add(T one, boolean not) {
            (not ? denied : asked).add(one);
        }
    }

    void values(Facet facet, Set<String> codes, boolean not) {
        Sides<String> sides = values.computeIfAbsent(facet, absent -> new Sides<>());
        codes.forEach(code -> sides.add(code, not));
    }

    void number(NumberPattern number, boolean not) {
        numbers.add(number, not);
    }

    void word(String word, boolean not) {
        words.add(word, not);
    }

    void entry(EntryNumber entry, boolean not) {
        entries.add(entry, not);
    }

    void days(Days more, Optional<OnDays.Rule> how) {
        days = days.plus(more);
        rule = how.orElse(rule);
    }

    void daysOff(Days more) {
        refusedDays = refusedDays.plus(more);
    }

    void from(LocalTime time) {
        from = Optional.of(from.filter(time::isBefore).orElse(time));
    }

    /** @param orEvening whether the same hour of the evening may be meant */
    void to(LocalTime time, boolean orEvening) {
        if (to.isEmpty() || to.get().isAfter(time)) {
            to = Optional.of(time);
            evening = orEvening;
        }
    }

    /** Hours in which nothing may meet. */
    void closed(WeekHours hours) {
        closed = closed.plus(hours);
    }

    /** Hours in which it meets. */
    void meeting(WeekHours hours) {
        meeting = meeting.plus(hours);
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
        timed.add(true, !only);
    }

    void seats(int atLeast, boolean not) {
        seats.add(atLeast, not);
    }

    void waiting(int most, boolean not) {
        waiting.add(most, not);
    }

    Brief brief() {
        List<Condition> conditions = new ArrayList<>();
        courses(conditions);
        for (Facet facet : Facet.values()) {
            values(facet).ifPresent(conditions::add);
        }
        either(words, Topic.WORDS, some -> new Mentioning(String.join(" ", some)), words.denied.size() <= 1)
                .ifPresent(conditions::add);
        either(entries, Topic.ENTRY, Entries::new, true).ifPresent(conditions::add);
        onDays().ifPresent(conditions::add);
        between().ifPresent(conditions::add);
        hours().ifPresent(conditions::add);
        either(timed, Topic.UNTIMED, some -> new Timed(), true).ifPresent(conditions::add);
        dates().ifPresent(conditions::add);
        seats().ifPresent(conditions::add);
        return new Brief(conditions);
    }

    /** The topics of which something asked for has no place in the brief. Known once it is made. */
    Set<Topic> wishesLost() {
        return wishesLost;
    }

    /** The topics of which a denial has no place in the brief. Known once it is made. */
    Set<Topic> denialsLost() {
        return denialsLost;
    }

    /** What is asked for; what is denied, turned round, where nothing is asked for. */
    private <T> Optional<Condition> either(
            Sides<T> sides, Topic topic, Function<Set<T>, Condition> condition, boolean deniable) {
        if (!sides.asked.isEmpty()) {
            if (!sides.denied.isEmpty()) {
                denialsLost.add(topic);
            }
            return Optional.of(condition.apply(sides.asked));
        }
        if (!sides.denied.isEmpty() && !deniable) {
            denialsLost.add(topic);
            return Optional.empty();
        }
        return sides.denied.isEmpty() ? Optional.empty() : Optional.of(new Not(condition.apply(sides.denied)));
    }

    /** Numbers, and subjects as numbers of any kind where some numbers are of a subject: "glac 240, tide". */
    private void courses(List<Condition> conditions) {
        boolean named =
                numbers.asked.stream().anyMatch(number -> !number.subject().isEmpty());
        Sides<String> subjects = values.getOrDefault(Facet.SUBJECT, new Sides<>());
        if (named) {
            subjects.asked.forEach(subject -> numbers.add(NumberPattern.any(subject.toLowerCase(Locale.ROOT)), false));
            subjects.asked.clear();
        }
        either(numbers, Topic.NUMBER, some -> new Numbers(List.copyOf(some)), true)
                .ifPresent(conditions::add);
    }

    private Optional<Condition> values(Facet facet) {
        Sides<String> sides = values.getOrDefault(facet, new Sides<>());
        Set<String> codes = new TreeSet<>(sides.asked);
        codes.removeAll(sides.denied);
        if (codes.isEmpty()) {
            if (!sides.asked.isEmpty()) {
                wishesLost.add(Topic.of(facet));
            }
            return sides.denied.isEmpty()
                    ? Optional.empty()
                    : Optional.of(new Not(Having.any(facet, new TreeSet<>(sides.denied))));
        }
        if (!sides.denied.isEmpty() && SEVERAL.contains(facet)) {
            denialsLost.add(Topic.of(facet));
        }
        return Optional.of(Having.any(facet, codes));
    }

    /** Of a kind of section its own days are meant: "lab friday". */
    private boolean daysOfSection() {
        return values.containsKey(Facet.KIND) && !values.get(Facet.KIND).asked.isEmpty() && refusedDays.isEmpty();
    }

    private Optional<Condition> onDays() {
        Days left = days.minus(refusedDays);
        if (!left.isEmpty()) {
            if (rule != OnDays.Rule.ONLY && !refusedDays.isEmpty()) {
                denialsLost.add(Topic.DAYS);
            }
            return Optional.of(new OnDays(rule, left, daysOfSection()));
        }
        if (!days.isEmpty()) {
            wishesLost.add(Topic.DAYS);
        }
        return refusedDays.isEmpty() ? Optional.empty() : Optional.of(new OnDays(OnDays.Rule.NONE, refusedDays));
    }

    /** "after 3 before 9": nine in the evening. */
    private Optional<Condition> between() {
        if (from.isEmpty() && to.isEmpty()) {
            return Optional.empty();
        }
        Optional<LocalTime> end = to;
        if (from.isPresent() && end.isPresent() && !from.get().isBefore(end.get()) && evening) {
            end = end.filter(time -> time.getHour() < 12).map(time -> time.plusHours(12));
        }
        if (from.isPresent()
                && to.isPresent()
                && !end.filter(from.get()::isBefore).isPresent()) {
            wishesLost.add(Topic.TIMES);
            denialsLost.add(Topic.TIMES);
            return Optional.empty();
        }
        return Optional.of(new Between(from, end));
    }

    private Optional<Condition> hours() {
        if (!closed.isEmpty()) {
            if (!meeting.isEmpty()) {
                wishesLost.add(Topic.CLOSED);
            }
            return Optional.of(new Closed(closed));
        }
        return meeting.isEmpty() ? Optional.empty() : Optional.of(new Not(new Closed(meeting)));
    }

    private Optional<Condition> dates() {
        if (starts.isPresent() && ends.isPresent() && starts.get().isAfter(ends.get())) {
            wishesLost.add(Topic.DATES);
            return Optional.empty();
        }
        return starts.isEmpty() && ends.isEmpty() && weeks.isEmpty()
                ? Optional.empty()
                : Optional.of(new Dates(starts, ends, weeks));
    }

    private Optional<Condition> seats() {
        OptionalInt most = waiting.asked.stream().mapToInt(Integer::intValue).min();
        int least = seats.asked.stream().mapToInt(Integer::intValue).max().orElse(0);
        boolean some = least > 0 || most.isPresent();
        OptionalInt denied = seats.denied.stream().mapToInt(Integer::intValue).max();
        OptionalInt deniedMost =
                waiting.denied.stream().mapToInt(Integer::intValue).min();
        boolean both = denied.isPresent() && deniedMost.isPresent();
        if ((some || both) && (denied.isPresent() || deniedMost.isPresent())) {
            denialsLost.add(Topic.SEATS);
        }
        if (some) {
            return Optional.of(new Seats(least, most));
        }
        return both || denied.isEmpty() && deniedMost.isEmpty()
                ? Optional.empty()
                : Optional.of(new Not(new Seats(denied.orElse(0), deniedMost)));
    }
}
