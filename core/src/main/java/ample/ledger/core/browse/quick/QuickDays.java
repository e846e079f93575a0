package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekForm;
import java.time.DayOfWeek;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Takes from a line of text what it says of days of the week. */
final class QuickDays {

    private static final Pattern COMPACT_DAYS = Pattern.compile("(?:th|tu|sa|su|mo|we|fr|[mtwrf])+");
    private static final Pattern COMPACT_DAY = Pattern.compile("th|tu|sa|su|mo|we|fr|[mtwrf]");
    private static final Pattern FROM_TO = Pattern.compile("(\\p{L}+)[-–](\\p{L}+)");
    private static final Set<String> TO = Set.of("to", "through", "thru", "until", "till", "-", "–");

    private final QuickLine line;
    private final WeekForm week;

    /** @param week that of the institution, whose weekend is meant */
    QuickDays(QuickLine line, WeekForm week) {
        this.line = line;
        this.week = week;
    }

    /** Some days, and the words that they take. */
    private record Named(Days days, int tokens) {}

    /** "mon wed", "mondays", "MWF", "m w f", "mon-fri", "weekdays", "mon or wed", "any of mon tue", "all of mon wed". */
    Optional<Meant> at(int at) {
        int lead = 0;
        Optional<OnDays.Rule> rule = switch (line.word(at)) {
            case "only" -> Optional.of(OnDays.Rule.ONLY);
            case "any", "either" -> Optional.of(OnDays.Rule.ANY);
            case "all", "both" -> Optional.of(OnDays.Rule.ALL);
            default -> Optional.empty();
        };
        lead += rule.isPresent() ? 1 : 0;
        while (lead < 3 && Set.of("on", "of", "from").contains(line.word(at + lead))) {
            lead++;
        }
        Days days = Days.NONE;
        int next = at + lead;
        boolean or = false;
        while (true) {
            boolean joint = next > at + lead && Set.of("and", "or", "&").contains(line.word(next));
            Optional<Named> more = named(next + (joint ? 1 : 0));
            if (more.isEmpty()) {
                break;
            }
            or |= joint && line.word(next).equals("or");
            days = days.plus(more.get().days());
            next += (joint ? 1 : 0) + more.get().tokens();
        }
        if (days.isEmpty()) {
            return Optional.empty();
        }
        Days all = days;
        Optional<OnDays.Rule> how = rule.isEmpty() && or ? Optional.of(OnDays.Rule.ANY) : rule;
        return Optional.of(Meant.of(next - at, Topic.DAYS, brief -> brief.days(all, how))
                .denied(Topic.DAYS, brief -> brief.daysOff(all)));
    }

    /** "mon", "mon-fri", "sunday to thursday", "weekends". */
    private Optional<Named> named(int at) {
        Matcher joined = FROM_TO.matcher(line.word(at));
        if (joined.matches()
                && day(joined.group(1)).isPresent()
                && day(joined.group(2)).isPresent()) {
            return Optional.of(new Named(
                    fromTo(
                            day(joined.group(1)).orElseThrow(),
                            day(joined.group(2)).orElseThrow()),
                    1));
        }
        Optional<DayOfWeek> first = day(line.word(at));
        Optional<DayOfWeek> last = TO.contains(line.word(at + 1)) ? day(line.word(at + 2)) : Optional.empty();
        if (first.isPresent() && last.isPresent()) {
            return Optional.of(new Named(fromTo(first.get(), last.get()), 3));
        }
        return one(at).map(days -> new Named(days, 1));
    }

    /** Every day from one to another, over the end of the week where need be. */
    private static Days fromTo(DayOfWeek first, DayOfWeek last) {
        Days days = Days.of(first);
        for (DayOfWeek day = first; day != last; day = day.plus(1)) {
            days = days.plus(Days.of(day.plus(1)));
        }
        return days;
    }

    /** The days that one word names. */
    private Optional<Days> one(int at) {
        String word = line.word(at);
        if (word.matches("weekdays?")) {
            return Optional.of(week.workdays());
        }
        if (word.matches("weekends?")) {
            return Optional.of(week.weekend()).filter(days -> !days.isEmpty());
        }
        Optional<DayOfWeek> named = day(word);
        if (named.isPresent()) {
            return named.map(day -> Days.of(day));
        }
        // A single small letter is a day only beside another: "m w f".
        boolean single = word.length() == 1
                && (!line.written(at).equals(word)
                        || COMPACT_DAY.matcher(line.word(at + 1)).matches()
                                && line.word(at + 1).length() == 1
                        || at > 0
                                && line.word(at - 1).length() == 1
                                && COMPACT_DAY.matcher(line.word(at - 1)).matches());
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
    private static Optional<DayOfWeek> day(String word) {
        String day = word.endsWith("days") ? word.substring(0, word.length() - 1) : word;
        return word.length() < 3 ? Optional.empty() : Days.parseDay(day);
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
