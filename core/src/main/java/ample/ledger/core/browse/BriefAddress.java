package ample.ledger.core.browse;

import ample.ledger.core.browse.Condition.Topic;
import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.calendar.WrittenDate;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.EntryNumber;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
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
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Reads a brief from the parameters of an address, as {@link Brief#parameters()} writes them. A parameter may also be
 * given several times, as plain forms send it; empty values count as not given.
 *
 * <p>What cannot be understood is reported value by value, and the rest of the brief stands.
 */
public final class BriefAddress {

    /** Every parameter that belongs to a brief, in the order in which a brief tells. */
    public static final List<String> PARAMETERS =
            Arrays.stream(Topic.values()).flatMap(BriefAddress::parametersOf).toList();

    private static final int MOST_SEATS = 100_000;
    private static final int MOST_WEEKS = 60;

    /** More letters than this of one text of words are not read. */
    private static final int LONGEST_WORDS = 200;

    /** More values than this are not told one by one in a sentence. */
    private static final int MOST_TOLD = 20;

    private final Map<String, List<String>> parameters;
    private final Vocabulary vocabulary;
    private final List<Misread> misreads = new ArrayList<>();

    /** One value that could not be understood, and a sentence that says what would be right. */
    public record Misread(String parameter, String value, String sentence) {}

    /** The brief as far as it was understood, and what was not. */
    public record Reading(Brief brief, List<Misread> misreads) {

        public Reading {
            misreads = List.copyOf(misreads);
        }
    }

    private BriefAddress(Map<String, List<String>> parameters, Vocabulary vocabulary) {
        this.parameters = parameters;
        this.vocabulary = vocabulary;
    }

    /** Reads {@code parameters} with the codes of {@code vocabulary}. Never fails. */
    public static Reading read(Map<String, List<String>> parameters, Vocabulary vocabulary) {
        return new BriefAddress(parameters, vocabulary).reading();
    }

    private static Stream<String> parametersOf(Topic topic) {
        return switch (topic) {
            case NUMBER -> Stream.of("number");
            case WORDS -> Stream.of("words");
            case ENTRY -> Stream.of("entry");
            case DAYS -> Stream.of("days");
            case TIMES -> Stream.of("from", "to");
            case CLOSED -> Stream.of("closed");
            case UNTIMED -> Stream.of("untimed");
            case DATES -> Stream.of("starts", "ends", "weeks");
            case SEATS -> Stream.of("seats", "waiting");
            case PLAN -> Stream.of("plan");
            case RECORD -> Stream.of("taken", Not.PARAMETER);
            default -> Facet.about(topic).stream().map(Facet::parameter);
        };
    }

    private Reading reading() {
        Set<Topic> turned = turned();
        List<Condition> conditions = new ArrayList<>();
        for (Topic topic : Topic.values()) {
            Optional<Condition> condition = about(topic);
            condition.map(said -> turned.contains(topic) ? new Not(said) : said).ifPresent(conditions::add);
            if (condition.isEmpty() && turned.contains(topic)) {
                misread(Not.PARAMETER, topic.code(), "There is no such condition here to turn round.");
            }
        }
        return new Reading(new Brief(conditions), misreads);
    }

    private Set<Topic> turned() {
        String wanted = "Name the conditions to turn round, as in " + Topic.CAMPUS.code() + ".";
        Set<Topic> turned = EnumSet.noneOf(Topic.class);
        turned.addAll(set(Not.PARAMETER, name -> Coded.parse(Topic.class, name), wanted));
        return turned;
    }

    private Optional<Condition> about(Topic topic) {
        return switch (topic) {
            case NUMBER ->
                some(
                        set(
                                "number",
                                this::number,
                                "Write a number, as in 240 or glac:240d, or a range, as in 200-299."),
                        numbers -> new CourseCondition.Numbers(List.copyOf(numbers)));
            case WORDS -> wordsOfCourses();
            case ENTRY -> entries("entry", SectionCondition.Entries::new);
            case DAYS -> days();
            case TIMES -> times();
            case CLOSED ->
                some(
                        set("closed", WeekHours::parse, "Write hours on the quarter, as in mon:9:00-12:15."),
                        stretches ->
                                new SetCondition.Closed(stretches.stream().reduce(WeekHours.NONE, WeekHours::plus)));
            case UNTIMED -> untimed();
            case DATES -> dates();
            case SEATS -> seats();
            case PLAN -> entries("plan", SetCondition.ClearOf::new);
            case RECORD ->
                some(
                        set("taken", this::course, "Write a course as its subject and number, as in glac:120."),
                        CourseCondition.OffRecord::new);
            default -> Facet.about(topic).flatMap(this::values);
        };
    }

    private Optional<Condition> values(Facet facet) {
        List<Facet.Value> known = vocabulary.values(facet);
        Set<String> codes = new TreeSet<>();
        Facet.Match match = Facet.Match.ANY;
        for (String word : words(facet.parameter())) {
            boolean all = word.startsWith("all:") && !(facet instanceof SetFacet);
            match = all ? Facet.Match.ALL : match;
            String code = all ? word.substring("all:".length()) : word;
            List<String> meant = known.stream()
                    .map(Facet.Value::code)
                    .filter(value ->
                            value.equalsIgnoreCase(code) || facet == CourseFacet.CREDITS && isWithin(value, code))
                    .toList();
            if (meant.isEmpty() && !code.isEmpty()) {
                misread(facet.parameter(), code, told(facet, known));
            }
            codes.addAll(meant);
        }
        return codes.isEmpty() ? Optional.empty() : Optional.of(facet.having(codes, match));
    }

    /** Whether so many credits lie in a range such as 3-4.5. */
    private static boolean isWithin(String credits, String range) {
        String[] ends = range.split("-");
        return range.matches("[0-9]{1,4}(\\.[0-9]{1,2})?-[0-9]{1,4}(\\.[0-9]{1,2})?")
                && new BigDecimal(credits).compareTo(new BigDecimal(ends[0])) >= 0
                && new BigDecimal(credits).compareTo(new BigDecimal(ends[1])) <= 0;
    }

    private String told(Facet facet, List<Facet.Value> known) {
        String term = vocabulary.name();
        if (known.size() > MOST_TOLD) {
            return "That is none of the %d %s of %s."
                    .formatted(known.size(), facet.traits().plural(), term);
        }
        return "The %s of %s are %s."
                .formatted(
                        facet.traits().plural(),
                        term,
                        known.stream()
                                .map(value -> value.code().toLowerCase(Locale.ROOT))
                                .collect(Collectors.joining(", ")));
    }

    private Optional<NumberPattern> number(String word) {
        return NumberPattern.parse(word)
                .filter(number -> number.subject().isEmpty()
                        || vocabulary
                                .value(CourseFacet.SUBJECT, number.subject())
                                .isPresent());
    }

    private Optional<CourseCode> course(String word) {
        String[] parts = word.split("[:\\s]+");
        if (parts.length != 2 || !parts[1].matches("[0-9]{1,6}\\p{L}{0,4}")) {
            return Optional.empty();
        }
        return vocabulary
                .course(parts[0], parts[1])
                .map(Course::code)
                .or(() -> Optional.of(new CourseCode(parts[0].toUpperCase(Locale.ROOT), parts[1])));
    }

    private Optional<Condition> wordsOfCourses() {
        return parameters.getOrDefault("words", List.of()).stream()
                .filter(text -> !text.isBlank())
                .reduce((earlier, later) -> later)
                .flatMap(text -> {
                    if (CourseWords.tokens(text).isEmpty() || text.length() > LONGEST_WORDS) {
                        misread(
                                "words",
                                text,
                                "Write words of a title or a description, at most " + LONGEST_WORDS + " letters.");
                        return Optional.empty();
                    }
                    return Optional.of(new CourseCondition.Words(text));
                });
    }

    private Optional<Condition> entries(String parameter, Function<Set<EntryNumber>, Condition> condition) {
        return some(set(parameter, EntryNumber::parse, "An entry number is 3 to 9 digits."), condition);
    }

    private Optional<Condition> days() {
        SetCondition.DayRule rule = SetCondition.DayRule.ONLY;
        List<DayOfWeek> days = new ArrayList<>();
        for (String word : words("days")) {
            int colon = word.indexOf(':');
            if (colon >= 0) {
                Optional<SetCondition.DayRule> named =
                        Coded.parse(SetCondition.DayRule.class, word.substring(0, colon));
                if (named.isEmpty()) {
                    misread("days", word, "Write only:, all:, any: or none: before the days.");
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
        return days.isEmpty() ? Optional.empty() : Optional.of(new SetCondition.OnDays(rule, Days.of(days)));
    }

    private Optional<Condition> times() {
        Optional<LocalTime> from = time("from");
        Optional<LocalTime> to = time("to");
        if (from.isPresent() && to.isPresent() && !from.get().isBefore(to.get())) {
            misread(
                    "to",
                    ClockTime.format(to.get()),
                    "The day must end after it starts at " + ClockTime.format(from.get()) + ".");
            return Optional.of(new SetCondition.Between(from, Optional.empty()));
        }
        return from.isEmpty() && to.isEmpty() ? Optional.empty() : Optional.of(new SetCondition.Between(from, to));
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
                .map(no -> new SetCondition.Timed());
    }

    private Optional<Condition> dates() {
        Optional<LocalDate> starts = date("starts");
        Optional<LocalDate> ends = date("ends");
        OptionalInt weeks = whole("weeks", 1, MOST_WEEKS);
        if (starts.isPresent() && ends.isPresent() && starts.get().isAfter(ends.get())) {
            misread("ends", ends.get().toString(), "The last day must not come before " + starts.get() + ".");
            ends = Optional.empty();
        }
        return starts.isEmpty() && ends.isEmpty() && weeks.isEmpty()
                ? Optional.empty()
                : Optional.of(new SetCondition.Dates(starts, ends, weeks));
    }

    private Optional<LocalDate> date(String parameter) {
        LocalDate first = vocabulary.first().term().dates().first();
        return one(parameter, WrittenDate::parse, "Write a date, as in " + first + ".");
    }

    private Optional<Condition> seats() {
        int atLeast = whole("seats", 0, MOST_SEATS).orElse(0);
        OptionalInt waiting = whole("waiting", 0, MOST_SEATS);
        return atLeast == 0 && waiting.isEmpty()
                ? Optional.empty()
                : Optional.of(new SetCondition.Seats(atLeast, waiting));
    }

    private OptionalInt whole(String parameter, int least, int most) {
        Optional<Integer> value = one(
                parameter,
                text -> text.matches("[0-9]{1,6}") && Integer.parseInt(text) >= least && Integer.parseInt(text) <= most
                        ? Optional.of(Integer.valueOf(text))
                        : Optional.empty(),
                "Write a whole number from %d to %,d.".formatted(least, most));
        return value.map(OptionalInt::of).orElse(OptionalInt.empty());
    }

    private static <T> Optional<Condition> some(Set<T> values, Function<Set<T>, Condition> condition) {
        return values.isEmpty() ? Optional.empty() : Optional.of(condition.apply(values));
    }

    /** Every value of the parameter that {@code read} understands. */
    private <T> Set<T> set(String parameter, Function<String, Optional<T>> read, String wanted) {
        Set<T> values = new LinkedHashSet<>();
        for (String word : words(parameter)) {
            read.apply(word).ifPresentOrElse(values::add, () -> misread(parameter, word, wanted));
        }
        return Collections.unmodifiableSet(values);
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
}
