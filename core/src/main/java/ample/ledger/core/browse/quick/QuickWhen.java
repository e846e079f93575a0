package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.Month;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Takes from a line of text what it says of times of day, dates and days of the week. */
final class QuickWhen {

    private static final Pattern COMPACT_DAYS = Pattern.compile("(?:th|tu|sa|su|mo|we|fr|[mtwrf])+");
    private static final Pattern COMPACT_DAY = Pattern.compile("th|tu|sa|su|mo|we|fr|[mtwrf]");

    private final QuickLine line;
    private final Vocabulary vocabulary;
    private final QuickBrief brief;

    QuickWhen(QuickLine line, Vocabulary vocabulary, QuickBrief brief) {
        this.line = line;
        this.vocabulary = vocabulary;
        this.brief = brief;
    }

    /** "after noon", "from 9", "before 3pm", "until 15:30", "between 9 and 12", "9-12", "9:00 to 15:30", "mornings". */
    Optional<QuickReader.Taken> times(int at) {
        String word = line.word(at).replaceFirst("s$", "");
        if (word.equals("morning")) {
            brief.to(LocalTime.NOON);
            return QuickReader.taken(1, Topic.TIMES);
        }
        if (word.equals("afternoon")) {
            brief.from(LocalTime.NOON);
            brief.to(LocalTime.of(18, 0));
            return QuickReader.taken(1, Topic.TIMES);
        }
        if (word.equals("evening")) {
            brief.from(LocalTime.of(17, 0));
            return QuickReader.taken(1, Topic.TIMES);
        }
        boolean after = Set.of("after", "from", "since", "past").contains(line.word(at));
        boolean before = Set.of("before", "until", "till", "by").contains(line.word(at));
        if (after || before) {
            Optional<QuickTime> time = QuickTime.at(line.tokens(), at + 1);
            if (time.isPresent()) {
                if (after) {
                    Optional<QuickTime> end = Set.of("to", "until", "till", "-", "–")
                                    .contains(line.word(at + 1 + time.get().tokens()))
                            ? QuickTime.at(line.tokens(), at + 2 + time.get().tokens())
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

    private Optional<QuickReader.Taken> bound(QuickTime time, boolean after) {
        if (after) {
            brief.from(time.likely());
        } else {
            brief.to(time.likely());
        }
        return QuickReader.taken(1 + time.tokens(), Topic.TIMES);
    }

    private Optional<QuickReader.Taken> range(int at) {
        Optional<QuickTime.Range> joined = QuickTime.range(line.word(at));
        if (joined.isPresent()) {
            return window(joined.get().from(), joined.get().to(), 1);
        }
        int lead = line.word(at).equals("between") ? 1 : 0;
        Optional<QuickTime> from = QuickTime.at(line.tokens(), at + lead);
        if (from.isEmpty()) {
            return Optional.empty();
        }
        int joint = at + lead + from.get().tokens();
        boolean joins = Set.of("-", "–", "to", "until", "till").contains(line.word(joint))
                || lead == 1 && line.word(joint).equals("and");
        Optional<QuickTime> to = joins ? QuickTime.at(line.tokens(), joint + 1) : Optional.empty();
        return to.flatMap(end -> window(from.get(), end, lead + from.get().tokens() + 1 + end.tokens()));
    }

    private Optional<QuickReader.Taken> window(QuickTime from, QuickTime to, int count) {
        LocalTime start = from.likely();
        LocalTime end = to.after(start);
        if (!start.isBefore(end)) {
            return Optional.empty();
        }
        brief.from(start);
        brief.to(end);
        return QuickReader.taken(count, Topic.TIMES);
    }

    /** "8 weeks", "at most 8 weeks", "starts after 1 oct", "ending by dec 10". */
    Optional<QuickReader.Taken> dates(int at) {
        int lead = line.word(at).equals("at") && line.word(at + 1).equals("most") ? 2 : 0;
        Optional<Integer> weeks = QuickLine.whole(line.word(at + lead)).filter(number -> number > 0 && number <= 60);
        if (weeks.isPresent() && line.word(at + lead + 1).matches("weeks?")) {
            brief.weeks(weeks.get());
            return QuickReader.taken(lead + 2, Topic.DATES);
        }
        boolean starting = line.word(at).matches("start(s|ing)?");
        boolean ending = line.word(at).matches("end(s|ing)?");
        if (!starting && !ending) {
            return Optional.empty();
        }
        int joint = Set.of("on", "after", "from", "by", "before", "until").contains(line.word(at + 1)) ? 1 : 0;
        Optional<LocalDate> date = date(line.word(at + 1 + joint), line.word(at + 2 + joint))
                .or(() -> date(line.word(at + 2 + joint), line.word(at + 1 + joint)));
        date.ifPresent(day -> {
            if (starting) {
                brief.starts(day);
            } else {
                brief.ends(day);
            }
        });
        return date.flatMap(day -> QuickReader.taken(3 + joint, Topic.DATES));
    }

    /** A day and the name of a month, in the year that the term has it. */
    private Optional<LocalDate> date(String day, String month) {
        Optional<Integer> number = QuickLine.whole(day.replaceFirst("(st|nd|rd|th)$", ""));
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
    Optional<QuickReader.Taken> days(int at, boolean not) {
        int lead = 0;
        Optional<OnDays.Rule> rule = Optional.empty();
        if (Set.of("only", "any", "all", "both", "either").contains(line.word(at))) {
            rule = switch (line.word(at)) {
                case "only" -> Optional.of(OnDays.Rule.ONLY);
                case "any", "either" -> Optional.of(OnDays.Rule.ANY);
                default -> Optional.of(OnDays.Rule.ALL);
            };
            lead++;
        }
        while (lead < 3 && Set.of("on", "of").contains(line.word(at + lead))) {
            lead++;
        }
        Days days = Days.NONE;
        int next = at + lead;
        boolean or = false;
        while (true) {
            boolean joint = next > at + lead && Set.of("and", "or", "&").contains(line.word(next));
            Optional<Days> more = days(next + (joint ? 1 : 0));
            if (more.isEmpty()) {
                break;
            }
            or |= joint && line.word(next).equals("or");
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
        return QuickReader.taken(next - at, Topic.DAYS);
    }

    /** The days that one word names. */
    private Optional<Days> days(int at) {
        String word = line.word(at);
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
        boolean single = word.length() == 1 && !line.written(at).equals(word);
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
}
