package ample.ledger.core.browse;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Delivery;
import ample.ledger.core.schedule.Requirement;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Subject;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/**
 * Reads a brief from the parameters of an address, as {@link Brief#parameters()} writes them. A parameter may also be
 * given several times, as plain forms send it; empty values count as not given.
 *
 * <p>What cannot be understood is reported value by value, and the rest of the brief stands.
 */
public final class BriefAddress {

    /** Every parameter that belongs to a brief. */
    public static final Set<String> PARAMETERS = Set.of(
            "subject",
            "number",
            "level",
            "at",
            "days",
            "from",
            "to",
            "untimed",
            "delivery",
            "toward",
            "seats",
            "waiting");

    private static final int MOST_SEATS = 100_000;

    private final Map<String, List<String>> parameters;
    private final Schedule schedule;
    private final List<Misread> misreads = new ArrayList<>();

    /** One value that could not be understood, and a sentence that says what would be right. */
    public record Misread(String parameter, String value, String sentence) {}

    /** The brief as far as it was understood, and what was not. */
    public record Reading(Brief brief, List<Misread> misreads) {

        public Reading {
            misreads = List.copyOf(misreads);
        }
    }

    private BriefAddress(Map<String, List<String>> parameters, Schedule schedule) {
        this.parameters = parameters;
        this.schedule = schedule;
    }

    /** Reads {@code parameters} with the codes of {@code schedule}. Never fails. */
    public static Reading read(Map<String, List<String>> parameters, Schedule schedule) {
        return new BriefAddress(parameters, schedule).reading();
    }

    private Reading reading() {
        List<Condition> conditions = new ArrayList<>();
        set("subject", code -> find(schedule.subjects(), Subject::code, code), this::subjects)
                .map(CourseCondition.Subjects::new)
                .ifPresent(conditions::add);
        set("number", NumberPattern::parse, () -> "Write a number, as in 240 or 240d, or a range, as in 200-299.")
                .map(numbers -> new CourseCondition.Numbers(List.copyOf(numbers)))
                .ifPresent(conditions::add);
        set("level", text -> whole(text, 9).filter(level -> level > 0), () -> "Levels are whole numbers from 1 to 9.")
                .map(CourseCondition.Levels::new)
                .ifPresent(conditions::add);
        set("at", code -> find(schedule.campuses(), Campus::code, code), this::campuses)
                .map(SectionCondition.At::new)
                .ifPresent(conditions::add);
        days().ifPresent(conditions::add);
        times().ifPresent(conditions::add);
        untimed().ifPresent(conditions::add);
        set("delivery", code -> Coded.parse(Delivery.class, code), BriefAddress::deliveries)
                .map(SectionCondition.Taught::new)
                .ifPresent(conditions::add);
        set("toward", code -> find(schedule.requirements(), Requirement::code, code), this::requirements)
                .map(CourseCondition.Toward::new)
                .ifPresent(conditions::add);
        seats().ifPresent(conditions::add);
        return new Reading(new Brief(conditions), misreads);
    }

    private Optional<Condition> days() {
        List<String> words = words("days");
        SectionCondition.DayRule rule = SectionCondition.DayRule.ONLY;
        List<DayOfWeek> days = new ArrayList<>();
        for (String word : words) {
            int colon = word.indexOf(':');
            if (colon >= 0) {
                Optional<SectionCondition.DayRule> named =
                        Coded.parse(SectionCondition.DayRule.class, word.substring(0, colon));
                if (named.isEmpty()) {
                    misread("days", word, "Write only:, all: or any: before the days.");
                }
                rule = named.orElse(rule);
            }
            String day = word.substring(colon + 1);
            if (!day.isEmpty()) {
                Days.parseDay(day)
                        .ifPresentOrElse(
                                days::add,
                                () -> misread("days", day, "Days are mon, tue, wed, thu, fri, sat and sun."));
            }
        }
        return days.isEmpty() ? Optional.empty() : Optional.of(new SectionCondition.OnDays(rule, Days.of(days)));
    }

    private Optional<Condition> times() {
        Optional<LocalTime> from = time("from");
        Optional<LocalTime> to = time("to");
        if (from.isPresent() && to.isPresent() && !from.get().isBefore(to.get())) {
            misread(
                    "to",
                    ClockTime.format(to.get()),
                    "The day must end after it starts at " + ClockTime.format(from.get()) + ".");
            return Optional.of(new SectionCondition.Between(from, Optional.empty()));
        }
        return from.isEmpty() && to.isEmpty() ? Optional.empty() : Optional.of(new SectionCondition.Between(from, to));
    }

    private Optional<LocalTime> time(String parameter) {
        return one(parameter, ClockTime::parse, "Write a time from 0:00 to 23:59, as in 9:30.");
    }

    private Optional<Condition> untimed() {
        return one(
                        "untimed",
                        text -> text.equals("no") || text.equals("yes") ? Optional.of(text) : Optional.empty(),
                        "Write no to leave out sections with no set time, or yes to keep them.")
                .filter("no"::equals)
                .map(no -> new SectionCondition.Timed());
    }

    private Optional<Condition> seats() {
        String wanted = "Write a whole number from 0 to %,d.".formatted(MOST_SEATS);
        int atLeast = one("seats", text -> whole(text, MOST_SEATS), wanted).orElse(0);
        OptionalInt waiting = one("waiting", text -> whole(text, MOST_SEATS), wanted).stream()
                .mapToInt(Integer::intValue)
                .findFirst();
        return atLeast == 0 && waiting.isEmpty()
                ? Optional.empty()
                : Optional.of(new SectionCondition.Seats(atLeast, waiting));
    }

    /** Every value of the parameter that {@code read} understands; empty when there is none. */
    private <T> Optional<Set<T>> set(String parameter, Function<String, Optional<T>> read, Supplier<String> wanted) {
        Set<T> values = new LinkedHashSet<>();
        for (String word : words(parameter)) {
            read.apply(word).ifPresentOrElse(values::add, () -> misread(parameter, word, wanted.get()));
        }
        return values.isEmpty() ? Optional.empty() : Optional.of(values);
    }

    /** The last value of the parameter, so that a plain form can override what the address said. */
    private <T> Optional<T> one(String parameter, Function<String, Optional<T>> read, String wanted) {
        List<String> words = words(parameter);
        if (words.isEmpty()) {
            return Optional.empty();
        }
        String last = words.get(words.size() - 1);
        Optional<T> value = read.apply(last);
        if (value.isEmpty()) {
            misread(parameter, last, wanted);
        }
        return value;
    }

    private List<String> words(String parameter) {
        return parameters.getOrDefault(parameter, List.of()).stream()
                .flatMap(value -> Arrays.stream(value.split(",")))
                .map(String::strip)
                .filter(word -> !word.isEmpty())
                .toList();
    }

    private void misread(String parameter, String value, String sentence) {
        misreads.add(new Misread(parameter, value, sentence));
    }

    private static <T> Optional<String> find(Collection<T> values, Function<T, String> code, String wanted) {
        return values.stream()
                .map(code)
                .filter(known -> known.equalsIgnoreCase(wanted))
                .findFirst();
    }

    private static Optional<Integer> whole(String text, int most) {
        return text.matches("[0-9]{1,6}") && Integer.parseInt(text) <= most
                ? Optional.of(Integer.valueOf(text))
                : Optional.empty();
    }

    private String subjects() {
        return known("subjects", schedule.subjects(), Subject::code);
    }

    private String campuses() {
        return known("campuses", schedule.campuses(), Campus::code);
    }

    private String requirements() {
        return known("requirements", schedule.requirements(), Requirement::code);
    }

    private static String deliveries() {
        return "Deliveries are "
                + Arrays.stream(Delivery.values()).map(Delivery::code).collect(Collectors.joining(", ")) + ".";
    }

    private <T> String known(String what, Collection<T> values, Function<T, String> code) {
        return "The %s of %s are %s."
                .formatted(
                        what,
                        schedule.term().name(),
                        values.stream()
                                .map(code)
                                .map(text -> text.toLowerCase(Locale.ROOT))
                                .collect(Collectors.joining(", ")));
    }
}
