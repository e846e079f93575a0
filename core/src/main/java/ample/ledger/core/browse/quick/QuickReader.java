package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.brief.NumberPattern;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.schedule.EntryNumber;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Takes from a line of text, at one place after another, the longest stretch that means a condition. */
final class QuickReader {

    private static final Pattern NUMBER = Pattern.compile("[0-9]{1,4}\\p{L}{0,4}|[1-9]xx|[0-9]{1,4}[-–][0-9]{1,4}");
    private static final Pattern HUNDREDS_LEVEL = Pattern.compile("([1-9])00(?:-?level)?s?");
    private static final Pattern SUBJECT_AND_NUMBER =
            Pattern.compile("(\\p{L}{2,8}|[0-9]{2,4})[-:]?([0-9]{1,4}\\p{L}{0,4}|[1-9]xx)");
    private static final Pattern CREDITS = Pattern.compile("[0-9]{1,3}(?:\\.[0-9]{1,2})?(?:-[0-9]{1,3})?");
    private static final Set<String> NO = Set.of("not", "no", "without", "except", "never");
    private static final Set<String> BEFORE_NAMES = Set.of(
            "at", "in", "on", "by", "with", "taught", "toward", "towards", "for", "counting", "counts", "the", "from");
    private static final List<String> ORDINALS = List.of("first", "second", "third", "fourth", "fifth", "sixth");

    private final QuickWords words;
    private final Vocabulary vocabulary;
    private final QuickLine line;
    private final QuickWhen when;
    private final QuickBrief brief;

    /** How many tokens were taken, and for what. */
    record Taken(int tokens, Topic topic) {}

    QuickReader(QuickWords words, Vocabulary vocabulary, List<QuickToken> tokens, QuickBrief brief) {
        this.words = words;
        this.vocabulary = vocabulary;
        this.line = new QuickLine(tokens);
        this.when = new QuickWhen(line, vocabulary, brief);
        this.brief = brief;
    }

    /** What begins at token {@code at}, put into the brief; empty where nothing does. */
    Optional<Taken> takeAt(int at) {
        boolean not = NO.contains(line.word(at));
        // A name may begin with such a word: "no prerequisite".
        Optional<Taken> taken = not ? names(at, false).or(() -> denied(at)) : Optional.empty();
        return taken.or(() -> course(at))
                .or(() -> seats(at))
                .or(() -> untimed(at))
                .or(() -> names(at, false))
                .or(() -> credits(at))
                .or(() -> when.times(at))
                .or(() -> when.dates(at))
                .or(() -> when.days(at, false))
                .or(() -> figures(at));
    }

    /** "no waitlist", "not at Tidewall", "not on a weekend". */
    private Optional<Taken> denied(int at) {
        int joining = 0;
        while (QuickWords.JOINING.contains(line.word(at + 1 + joining))) {
            joining++;
        }
        int from = at + 1 + joining;
        int before = from - at;
        return waiting(from)
                .or(() -> names(from, true))
                .or(() -> when.days(from, true))
                .map(more -> new Taken(before + more.tokens(), more.topic()));
    }

    /** "glac 240", "glac240d", "31-210", "glac 2xx", "glac 200-299", and a bare "240", "2xx" or "200-299". */
    private Optional<Taken> course(int at) {
        Optional<String> subject = subject(line.word(at));
        if (subject.isPresent() && NUMBER.matcher(line.word(at + 1)).matches()) {
            Optional<NumberPattern> number = NumberPattern.parse(subject.get() + ":" + line.word(at + 1));
            if (number.isPresent() && !isClock(at + 1)) {
                brief.number(number.get());
                return taken(2, Topic.NUMBER);
            }
        }
        Matcher both = SUBJECT_AND_NUMBER.matcher(line.word(at));
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
        return Set.of("am", "pm").contains(line.word(at + 1));
    }

    /** "open", "3 seats", "at least 3 seats", "3+ seats", "seats", "nobody waiting", "at most 2 waiting". */
    private Optional<Taken> seats(int at) {
        if (Set.of("open", "seats", "available").contains(line.word(at))) {
            brief.seats(1);
            return taken(Set.of("seats", "places").contains(line.word(at + 1)) ? 2 : 1, Topic.SEATS);
        }
        int lead = line.word(at).equals("at") && line.word(at + 1).equals("least") ? 2 : 0;
        Optional<Integer> number = QuickLine.whole(line.word(at + lead).replaceFirst("\\+$", ""));
        if (number.isPresent() && Set.of("seats", "seat", "places", "open").contains(line.word(at + lead + 1))) {
            brief.seats(number.get());
            boolean open = line.word(at + lead + 2).equals("open");
            return taken(lead + (open ? 3 : 2), Topic.SEATS);
        }
        if (line.word(at).equals("nobody") && line.word(at + 1).equals("waiting")) {
            brief.waiting(0);
            return taken(2, Topic.SEATS);
        }
        lead = line.word(at).equals("at") && line.word(at + 1).equals("most") ? 2 : 0;
        number = QuickLine.whole(line.word(at + lead));
        if (number.isPresent() && line.word(at + lead + 1).equals("waiting")) {
            brief.waiting(number.get());
            return taken(lead + 2, Topic.SEATS);
        }
        return Optional.empty();
    }

    /** After "no": "waitlist", "queue", "one waiting". */
    private Optional<Taken> waiting(int at) {
        if (Set.of("waitlist", "queue", "waiting").contains(line.word(at))) {
            brief.waiting(0);
            return taken(1, Topic.SEATS);
        }
        if (line.word(at).equals("one") && line.word(at + 1).equals("waiting")) {
            brief.waiting(0);
            return taken(2, Topic.SEATS);
        }
        if (line.word(at).equals("set") && line.word(at + 1).matches("times?")) {
            brief.timed(false);
            return taken(2, Topic.UNTIMED);
        }
        return Optional.empty();
    }

    /** "untimed" alone; "timed" or "set times" leave the untimed out. */
    private Optional<Taken> untimed(int at) {
        if (line.word(at).equals("untimed")) {
            brief.timed(false);
            return taken(1, Topic.UNTIMED);
        }
        if (line.word(at).equals("timed")
                || line.word(at).equals("set") && line.word(at + 1).matches("times?")) {
            brief.timed(true);
            return taken(line.word(at).equals("timed") ? 1 : 2, Topic.UNTIMED);
        }
        return Optional.empty();
    }

    /** The longest name of a value, with a word or two before it: "at Upper Fell", "counting toward Making". */
    private Optional<Taken> names(int at, boolean not) {
        int lead = 0;
        while (lead < 2 && BEFORE_NAMES.contains(line.word(at + lead))) {
            lead++;
        }
        for (int skipped = 0; skipped <= lead; skipped++) {
            int from = at + skipped;
            for (int count = QuickWords.MOST_WORDS; count > 0; count--) {
                if (from + count <= line.size()) {
                    Optional<QuickWords.Meaning> meaning = words.meaning(line.phrase(from, count));
                    if (meaning.isPresent()) {
                        brief.values(meaning.get().facet(), meaning.get().codes(), not);
                        return taken(skipped + count, Topic.of(meaning.get().facet()));
                    }
                }
            }
        }
        return Optional.empty();
    }

    /** "3 credits", "3-4 credits". */
    private Optional<Taken> credits(int at) {
        if (CREDITS.matcher(line.word(at)).matches() && line.word(at + 1).matches("credits?|cr")) {
            Brief read = BriefAddress.read(Map.of("credits", List.of(line.word(at))), vocabulary)
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
        Optional<EntryNumber> entry = EntryNumber.parse(line.word(at)).filter(digits -> vocabulary.hasEntry(digits));
        if (entry.isPresent()) {
            brief.entry(entry.get());
            return taken(1, Topic.ENTRY);
        }
        Matcher hundreds = HUNDREDS_LEVEL.matcher(line.word(at));
        if (hundreds.matches()
                && (line.word(at).length() > 3 || line.word(at + 1).equals("level"))) {
            int low = Integer.parseInt(hundreds.group(1)) * 100;
            brief.number(new NumberPattern(low, low + 99, ""));
            return taken(line.word(at + 1).equals("level") ? 2 : 1, Topic.NUMBER);
        }
        if (line.word(at).length() >= 3 && NUMBER.matcher(line.word(at)).matches()) {
            Optional<NumberPattern> number = NumberPattern.parse(line.word(at));
            number.ifPresent(brief::number);
            return number.flatMap(known -> taken(1, Topic.NUMBER));
        }
        return Optional.empty();
    }

    private Optional<Taken> level(int at) {
        String year = line.word(at).replaceFirst("-year$", "");
        int ordinal = ORDINALS.indexOf(year) + 1;
        boolean joined = line.word(at).endsWith("-year");
        if (ordinal > 0 && (joined || line.word(at + 1).equals("year"))) {
            return level(ordinal, joined ? 1 : 2);
        }
        if (Set.of("level", "year").contains(line.word(at))) {
            return QuickLine.whole(line.word(at + 1)).flatMap(number -> level(number, 2));
        }
        return Optional.empty();
    }

    private Optional<Taken> level(int number, int count) {
        Optional<Facet.Value> known = vocabulary.value(Facet.LEVEL, String.valueOf(number));
        known.ifPresent(level -> brief.values(Facet.LEVEL, Set.of(level.code()), false));
        return known.flatMap(level -> taken(count, Topic.LEVEL));
    }

    static Optional<Taken> taken(int count, Topic topic) {
        return Optional.of(new Taken(count, topic));
    }
}
