package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.brief.NumberPattern;
import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.schedule.EntryNumber;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.Month;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Takes from a line of text, at one place after another, the longest stretch that means a condition. */
final class QuickReader {

    private static final Pattern NUMBER = Pattern.compile("[0-9]{1,4}\\p{L}{0,4}|[1-9]xx|[0-9]{1,4}[-–][0-9]{1,4}");
    private static final Pattern HUNDREDS_LEVEL = Pattern.compile("([1-9])00(?:-?level)?s?");
    private static final Pattern SUBJECT_AND_NUMBER =
            Pattern.compile("(\\p{L}{2,8}|[0-9]{2,4})[-:]?([0-9]{1,4}\\p{L}{0,4}|[1-9]xx)");
    private static final Pattern CREDITS = Pattern.compile("[0-9]{1,3}(?:\\.[0-9]{1,2})?(?:-[0-9]{1,3})?");
    private static final Pattern COMPACT_DAYS = Pattern.compile("(?:th|tu|sa|su|mo|we|fr|[mtwrf])+");
    private static final Pattern COMPACT_DAY = Pattern.compile("th|tu|sa|su|mo|we|fr|[mtwrf]");
    private static final Set<String> NO = Set.of("not", "no", "without", "except", "never");
    private static final Set<String> BEFORE_NAMES = Set.of(
            "at", "in", "on", "by", "with", "taught", "toward", "towards", "for", "counting", "counts", "the", "from");
    private static final List<String> ORDINALS = List.of("first", "second", "third", "fourth", "fifth", "sixth");

    private final QuickWords words;
    private final Vocabulary vocabulary;
    private final List<QuickToken> tokens;
    private final QuickBrief brief;

    /** How many tokens were taken, and for what. */
    record Taken(int tokens, Topic topic) {}

    QuickReader(QuickWords words, Vocabulary vocabulary, List<QuickToken> tokens, QuickBrief brief) {
        this.words = words;
        this.vocabulary = vocabulary;
        this.tokens = tokens;
        this.brief = brief;
    }

    /** What begins at token {@code at}, put into the brief; empty where nothing does. */
    Optional<Taken> takeAt(int at) {
        boolean not = NO.contains(word(at));
        // A name may begin with such a word: "no prerequisite".
        Optional<Taken> taken = not ? names(at, false).or(() -> denied(at)) : Optional.empty();
        return taken.or(() -> course(at))
                .or(() -> seats(at))
                .or(() -> untimed(at))
                .or(() -> names(at, false))
                .or(() -> credits(at))
                .or(() -> times(at))
                .or(() -> dates(at))
                .or(() -> days(at, false))
                .or(() -> figures(at));
    }

    /** "no waitlist", "not at Tidewall", "not on a weekend". */
    private Optional<Taken> denied(int at) {
        int joining = 0;
        while (QuickWords.JOINING.contains(word(at + 1 + joining))) {
            joining++;
        }
        int from = at + 1 + joining;
        int before = from - at;
        return waiting(from)
                .or(() -> names(from, true))
                .or(() -> days(from, true))
                .map(more -> new Taken(before + more.tokens(), more.topic()));
    }

    /** "glac 240", "glac240d", "31-210", "glac 2xx", "glac 200-299", and a bare "240", "2xx" or "200-299". */
    private Optional<Taken> course(int at) {
        Optional<String> subject = subject(word(at));
        if (subject.isPresent() && NUMBER.matcher(word(at + 1)).matches()) {
            Optional<NumberPattern> number = NumberPattern.parse(subject.get() + ":" + word(at + 1));
            if (number.isPresent() && !isClock(at + 1)) {
                brief.number(number.get());
                return taken(2, Topic.NUMBER);
            }
        }
        Matcher both = SUBJECT_AND_NUMBER.matcher(word(at));
        if (both.matches() && subject(both.group(1)).isPresent()) {
            NumberPattern.parse(subject(both.group(1)).get() + ":" + both.group(2))
                    .ifPresent(brief::number);
            return taken(1, Topic.NUMBER);
        }
        return Optional.empty();
    }

    private Optional<String> subject(String word) {
        return vocabulary.value(Facet.SUBJECT, word).map(known -> word);
    }

    private boolean isClock(int at) {
        return Set.of("am", "pm").contains(word(at + 1));
    }

    /** "open", "3 seats", "at least 3 seats", "3+ seats", "seats", "nobody waiting", "at most 2 waiting". */
    private Optional<Taken> seats(int at) {
        if (Set.of("open", "seats", "available").contains(word(at))) {
            brief.seats(1);
            return taken(Set.of("seats", "places").contains(word(at + 1)) ? 2 : 1, Topic.SEATS);
        }
        int lead = word(at).equals("at") && word(at + 1).equals("least") ? 2 : 0;
        Optional<Integer> number = whole(word(at + lead).replaceFirst("\\+$", ""));
        if (number.isPresent() && Set.of("seats", "seat", "places", "open").contains(word(at + lead + 1))) {
            brief.seats(number.get());
            boolean open = word(at + lead + 2).equals("open");
            return taken(lead + (open ? 3 : 2), Topic.SEATS);
        }
        if (word(at).equals("nobody") && word(at + 1).equals("waiting")) {
            brief.waiting(0);
            return taken(2, Topic.SEATS);
        }
        lead = word(at).equals("at") && word(at + 1).equals("most") ? 2 : 0;
        number = whole(word(at + lead));
        if (number.isPresent() && word(at + lead + 1).equals("waiting")) {
            brief.waiting(number.get());
            return taken(lead + 2, Topic.SEATS);
        }
        return Optional.empty();
    }

    /** After "no": "waitlist", "queue", "one waiting". */
    private Optional<Taken> waiting(int at) {
        if (Set.of("waitlist", "queue", "waiting").contains(word(at))) {
            brief.waiting(0);
            return taken(1, Topic.SEATS);
        }
        if (word(at).equals("one") && word(at + 1).equals("waiting")) {
            brief.waiting(0);
            return taken(2, Topic.SEATS);
        }
        if (word(at).equals("set") && word(at + 1).matches("times?")) {
            brief.timed(false);
            return taken(2, Topic.UNTIMED);
        }
        return Optional.empty();
    }

    /** "untimed" alone; "timed" or "set times" leave the untimed out. */
    private Optional<Taken> untimed(int at) {
        if (word(at).equals("untimed")) {
            brief.timed(false);
            return taken(1, Topic.UNTIMED);
        }
        if (word(at).equals("timed") || word(at).equals("set") && word(at + 1).matches("times?")) {
            brief.timed(true);
            return taken(word(at).equals("timed") ? 1 : 2, Topic.UNTIMED);
        }
        return Optional.empty();
    }

    /** The longest name of a value, with a word or two before it: "at Upper Fell", "counting toward Making". */
    private Optional<Taken> names(int at, boolean not) {
        int lead = 0;
        while (lead < 2 && BEFORE_NAMES.contains(word(at + lead))) {
            lead++;
        }
        for (int skipped = 0; skipped <= lead; skipped++) {
            int from = at + skipped;
            for (int count = QuickWords.MOST_WORDS; count > 0; count--) {
                if (from + count <= tokens.size()) {
                    Optional<QuickWords.Meaning> meaning = words.meaning(phrase(from, count));
                    if (meaning.isPresent()) {
                        brief.values(meaning.get().facet(), meaning.get().codes(), not);
                        return taken(skipped + count, Topic.of(meaning.get().facet()));
                    }
                }
            }
        }
        return Optional.empty();
    }

    /** "after noon", "from 9", "before 3pm", "until 15:30", "between 9 and 12", "9-12", "9:00 to 15:30", "mornings". */
    private Optional<Taken> times(int at) {
        String word = word(at).replaceFirst("s$", "");
        if (word.equals("morning")) {
            brief.to(LocalTime.NOON);
            return taken(1, Topic.TIMES);
        }
        if (word.equals("afternoon")) {
            brief.from(LocalTime.NOON);
            brief.to(LocalTime.of(18, 0));
            return taken(1, Topic.TIMES);
        }
        if (word.equals("evening")) {
            brief.from(LocalTime.of(17, 0));
            return taken(1, Topic.TIMES);
        }
        boolean after = Set.of("after", "from", "since", "past").contains(word(at));
        boolean before = Set.of("before", "until", "till", "by").contains(word(at));
        if (after || before) {
            Optional<QuickTime> time = QuickTime.at(tokens, at + 1);
            if (time.isPresent()) {
                if (after) {
                    Optional<QuickTime> end = Set.of("to", "until", "till", "-", "–")
                                    .contains(word(at + 1 + time.get().tokens()))
                            ? QuickTime.at(tokens, at + 2 + time.get().tokens())
                            : Optional.empty();
                    return end.isPresent()
                            ? window(
                                    time.get(),
                                    end.get(),
                                    2 + time.get().tokens() + end.get().tokens())
                            : bound(time.get(), true);
                }
                return bound(time.get(), false);
            }
        }
        return range(at);
    }

    private Optional<Taken> bound(QuickTime time, boolean after) {
        if (after) {
            brief.from(time.likely());
        } else {
            brief.to(time.likely());
        }
        return taken(1 + time.tokens(), Topic.TIMES);
    }

    private Optional<Taken> range(int at) {
        Optional<QuickTime.Range> joined = QuickTime.range(word(at));
        if (joined.isPresent()) {
            return window(joined.get().from(), joined.get().to(), 1);
        }
        int lead = word(at).equals("between") ? 1 : 0;
        Optional<QuickTime> from = QuickTime.at(tokens, at + lead);
        if (from.isEmpty()) {
            return Optional.empty();
        }
        int joint = at + lead + from.get().tokens();
        boolean joins = Set.of("-", "–", "to", "until", "till").contains(word(joint))
                || lead == 1 && word(joint).equals("and");
        Optional<QuickTime> to = joins ? QuickTime.at(tokens, joint + 1) : Optional.empty();
        return to.flatMap(end -> window(from.get(), end, lead + from.get().tokens() + 1 + end.tokens()));
    }

    private Optional<Taken> window(QuickTime from, QuickTime to, int count) {
        LocalTime start = from.likely();
        LocalTime end = to.after(start);
        if (!start.isBefore(end)) {
            return Optional.empty();
        }
        brief.from(start);
        brief.to(end);
        return taken(count, Topic.TIMES);
    }

    /** "8 weeks", "at most 8 weeks", "starts after 1 oct", "ending by dec 10". */
    private Optional<Taken> dates(int at) {
        int lead = word(at).equals("at") && word(at + 1).equals("most") ? 2 : 0;
        Optional<Integer> weeks = whole(word(at + lead)).filter(number -> number > 0 && number <= 60);
        if (weeks.isPresent() && word(at + lead + 1).matches("weeks?")) {
            brief.weeks(weeks.get());
            return taken(lead + 2, Topic.DATES);
        }
        boolean starting = word(at).matches("start(s|ing)?");
        boolean ending = word(at).matches("end(s|ing)?");
        if (!starting && !ending) {
            return Optional.empty();
        }
        int joint = Set.of("on", "after", "from", "by", "before", "until").contains(word(at + 1)) ? 1 : 0;
        Optional<LocalDate> date = date(word(at + 1 + joint), word(at + 2 + joint))
                .or(() -> date(word(at + 2 + joint), word(at + 1 + joint)));
        date.ifPresent(day -> {
            if (starting) {
                brief.starts(day);
            } else {
                brief.ends(day);
            }
        });
        return date.flatMap(day -> taken(3 + joint, Topic.DATES));
    }

    /** A day and the name of a month, in the year that the term has it. */
    private Optional<LocalDate> date(String day, String month) {
        Optional<Integer> number = whole(day.replaceFirst("(st|nd|rd|th)$", ""));
        Optional<Month> named = Arrays.stream(Month.values())
                .filter(each -> month.length() >= 3
                        && each.name().toLowerCase(Locale.ROOT).startsWith(month))
                .findFirst();
        if (number.isEmpty() || named.isEmpty()) {
            return Optional.empty();
        }
        DateRange term = vocabulary.first().term().dates();
        int year = named.get().compareTo(term.first().getMonth()) < 0
                ? term.last().getYear()
                : term.first().getYear();
        try {
            return Optional.of(LocalDate.of(year, named.get(), number.get()));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    /** "mon wed", "monday", "MWF", "TTh", "TR", "weekdays", "mon or wed", "any of mon tue", "all of mon wed". */
    private Optional<Taken> days(int at, boolean not) {
        int lead = 0;
        Optional<OnDays.Rule> rule = Optional.empty();
        if (Set.of("only", "any", "all", "both", "either").contains(word(at))) {
            rule = switch (word(at)) {
                case "only" -> Optional.of(OnDays.Rule.ONLY);
                case "any", "either" -> Optional.of(OnDays.Rule.ANY);
                default -> Optional.of(OnDays.Rule.ALL);
            };
            lead++;
        }
        while (lead < 3 && Set.of("on", "of").contains(word(at + lead))) {
            lead++;
        }
        Days days = Days.NONE;
        int next = at + lead;
        boolean or = false;
        while (true) {
            boolean joint = next > at + lead && Set.of("and", "or", "&").contains(word(next));
            Optional<Days> more = days(next + (joint ? 1 : 0));
            if (more.isEmpty()) {
                break;
            }
            or |= joint && word(next).equals("or");
            days = days.plus(more.get());
            next += joint ? 2 : 1;
        }
        if (days.isEmpty()) {
            return Optional.empty();
        }
        brief.days(days, not);
        rule.ifPresent(brief::rule);
        if (or && rule.isEmpty() && !not) {
            brief.rule(OnDays.Rule.ANY);
        }
        return taken(next - at, Topic.DAYS);
    }

    /** The days that one word names. */
    private Optional<Days> days(int at) {
        String word = word(at);
        if (word.matches("weekdays?")) {
            return Optional.of(new Days(0b001_1111));
        }
        if (word.matches("weekends?")) {
            return Optional.of(new Days(0b110_0000));
        }
        Optional<DayOfWeek> named = word.length() < 3 ? Optional.empty() : named(word);
        if (named.isPresent()) {
            return named.map(day -> Days.of(day));
        }
        boolean single = word.length() == 1 && !tokens.get(at).text().equals(word);
        if ((word.length() > 1 || single) && COMPACT_DAYS.matcher(word).matches()) {
            Set<DayOfWeek> days = COMPACT_DAY
                    .matcher(word)
                    .results()
                    .map(match -> compact(match.group()))
                    .collect(Collectors.toSet());
            return Optional.of(Days.of(days));
        }
        return Optional.empty();
    }

    /** "mon", "thurs", "monday", "mondays". */
    private static Optional<DayOfWeek> named(String word) {
        String day = word.endsWith("days") ? word.substring(0, word.length() - 1) : word;
        return Days.parseDay(day);
    }

    private static DayOfWeek compact(String letters) {
        return switch (letters) {
            case "t" -> DayOfWeek.TUESDAY;
            case "r" -> DayOfWeek.THURSDAY;
            case "m" -> DayOfWeek.MONDAY;
            case "w" -> DayOfWeek.WEDNESDAY;
            case "f" -> DayOfWeek.FRIDAY;
            default -> Days.parseDay(letters).orElseThrow();
        };
    }

    /** "3 credits", "3-4 credits". */
    private Optional<Taken> credits(int at) {
        if (CREDITS.matcher(word(at)).matches() && word(at + 1).matches("credits?|cr")) {
            Brief read = BriefAddress.read(Map.of("credits", List.of(word(at))), vocabulary)
                    .brief();
            if (!read.isEmpty()) {
                brief.values(Facet.CREDITS, read.codes(Facet.CREDITS), false);
                return taken(2, Topic.CREDITS);
            }
        }
        return Optional.empty();
    }

    /** "level 2", "second year", "200 level", an entry number, a course number. */
    private Optional<Taken> figures(int at) {
        Optional<Taken> level = level(at);
        if (level.isPresent()) {
            return level;
        }
        Optional<EntryNumber> entry = EntryNumber.parse(word(at)).filter(digits -> vocabulary.hasEntry(digits));
        if (entry.isPresent()) {
            brief.entry(entry.get());
            return taken(1, Topic.ENTRY);
        }
        Matcher hundreds = HUNDREDS_LEVEL.matcher(word(at));
        if (hundreds.matches() && (word(at).length() > 3 || word(at + 1).equals("level"))) {
            int low = Integer.parseInt(hundreds.group(1)) * 100;
            brief.number(new NumberPattern(low, low + 99, ""));
            return taken(word(at + 1).equals("level") ? 2 : 1, Topic.NUMBER);
        }
        if (word(at).length() >= 3 && NUMBER.matcher(word(at)).matches()) {
            Optional<NumberPattern> number = NumberPattern.parse(word(at));
            number.ifPresent(brief::number);
            return number.flatMap(known -> taken(1, Topic.NUMBER));
        }
        return Optional.empty();
    }

    private Optional<Taken> level(int at) {
        String year = word(at).replaceFirst("-year$", "");
        int ordinal = ORDINALS.indexOf(year) + 1;
        boolean joined = word(at).endsWith("-year");
        if (ordinal > 0 && (joined || word(at + 1).equals("year"))) {
            return level(ordinal, joined ? 1 : 2);
        }
        if (Set.of("level", "year").contains(word(at))) {
            return whole(word(at + 1)).flatMap(number -> level(number, 2));
        }
        return Optional.empty();
    }

    private Optional<Taken> level(int number, int count) {
        Optional<Facet.Value> known = vocabulary.value(Facet.LEVEL, String.valueOf(number));
        known.ifPresent(level -> brief.values(Facet.LEVEL, Set.of(level.code()), false));
        return known.flatMap(level -> taken(count, Topic.LEVEL));
    }

    private String word(int at) {
        return at < tokens.size() ? tokens.get(at).plain() : "";
    }

    private String phrase(int from, int count) {
        return tokens.subList(from, from + count).stream()
                .map(QuickToken::plain)
                .collect(Collectors.joining(" "));
    }

    private static Optional<Integer> whole(String word) {
        return word.matches("[0-9]{1,4}") ? Optional.of(Integer.valueOf(word)) : Optional.empty();
    }

    private static Optional<Taken> taken(int count, Topic topic) {
        return Optional.of(new Taken(count, topic));
    }
}
