package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.calendar.DateRange;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.Month;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;

/** Takes from a line of text when it says that sections start and end, and how long they last. */
final class QuickDates {

    private static final int MOST_WEEKS = 60;
    private static final Set<String> UNTIL = Set.of("by", "before", "until", "till");
    private static final Set<String> FROM = Set.of("after", "from", "since");

    /** What starts "after" a day, or not "by" it, starts on the next one at the earliest. */
    private static final Set<String> BEHIND = Set.of("after", "by", "until", "till");

    /** What ends "before" a day, or not "from" it on, ends on the one before at the latest. */
    private static final Set<String> AHEAD = Set.of("before", "from", "since");

    private final QuickLine line;
    private final Vocabulary vocabulary;

    QuickDates(QuickLine line, Vocabulary vocabulary) {
        this.line = line;
        this.vocabulary = vocabulary;
    }

    /** "at most 7 weeks", "starts in November", "ending by 10 Dec". */
    Optional<Meant> at(int at) {
        return weeks(at).or(() -> bounds(at));
    }

    private Optional<Meant> weeks(int at) {
        Optional<QuickLine.Bound> bound = line.bound(at);
        int lead = bound.map(QuickLine.Bound::tokens).orElse(0);
        int weeks = QuickLine.whole(line.word(at + lead)).orElse(0);
        if (weeks < 1 || weeks > MOST_WEEKS || !line.word(at + lead + 1).matches("weeks?")) {
            return Optional.empty();
        }
        int count = lead + 2;
        return switch (bound.map(QuickLine.Bound::kind).orElse(QuickLine.Bound.Kind.AT_MOST)) {
            case AT_MOST -> Optional.of(Meant.of(count, Topic.DATES, brief -> brief.weeks(weeks)));
            case LESS ->
                weeks == 1
                        ? Optional.empty()
                        : Optional.of(Meant.of(count, Topic.DATES, brief -> brief.weeks(weeks - 1)));
            case MORE -> Optional.of(Meant.onlyDenied(count, Topic.DATES, brief -> brief.weeks(weeks)));
            case AT_LEAST ->
                weeks == 1
                        ? Optional.empty()
                        : Optional.of(Meant.onlyDenied(count, Topic.DATES, brief -> brief.weeks(weeks - 1)));
        };
    }

    /** A brief bounds the first day from below and the last from above; the other two bounds are denials of these. */
    private Optional<Meant> bounds(int at) {
        boolean starting = line.word(at).matches("start(s|ing)?|begin(s|ning)?");
        boolean ending = line.word(at).matches("end(s|ing)?|finish(es|ing)?");
        if (!starting && !ending) {
            return Optional.empty();
        }
        String how = line.word(at + 1);
        boolean until = UNTIL.contains(how);
        boolean from = FROM.contains(how);
        int joint = until || from || Set.of("on", "in").contains(how) ? 1 : 0;
        Optional<Stretch> stretch = stretch(at + 1 + joint);
        if (stretch.isEmpty()) {
            return Optional.empty();
        }
        int count = 1 + joint + stretch.get().tokens();
        LocalDate first = stretch.get().dates().first();
        LocalDate last = stretch.get().dates().last();
        boolean behind = starting ? BEHIND.contains(how) : AHEAD.contains(how);
        LocalDate start = behind ? last.plusDays(1) : first;
        LocalDate end = behind ? first.minusDays(1) : last;
        Consumer<QuickBrief> put = starting ? brief -> brief.starts(start) : brief -> brief.ends(end);
        boolean otherWay = starting ? until : from;
        return Optional.of(otherWay ? Meant.onlyDenied(count, Topic.DATES, put) : Meant.of(count, Topic.DATES, put));
    }

    /** A date, or a month of them, and the words that it takes. */
    private record Stretch(DateRange dates, int tokens) {}

    private Optional<Stretch> stretch(int at) {
        Optional<LocalDate> date =
                date(line.word(at), line.word(at + 1)).or(() -> date(line.word(at + 1), line.word(at)));
        if (date.isPresent()) {
            return date.map(day -> new Stretch(new DateRange(day, day), 2));
        }
        return month(line.word(at)).map(month -> {
            LocalDate first = LocalDate.of(year(month), month, 1);
            return new Stretch(new DateRange(first, first.plusMonths(1).minusDays(1)), 1);
        });
    }

    private static Optional<Month> month(String word) {
        return Arrays.stream(Month.values())
                .filter(each -> word.length() >= 3
                        && each.name().toLowerCase(Locale.ROOT).startsWith(word))
                .findFirst();
    }

    /** That in which the term has the month. */
    private int year(Month month) {
        DateRange term = vocabulary.first().term().dates();
        return month.compareTo(term.first().getMonth()) < 0
                ? term.last().getYear()
                : term.first().getYear();
    }

    private Optional<LocalDate> date(String day, String month) {
        Optional<Integer> number = QuickLine.whole(day.replaceFirst("(st|nd|rd|th)$", ""));
        Optional<Month> named = month(month);
        if (number.isEmpty() || named.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(LocalDate.of(year(named.get()), named.get(), number.get()));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
