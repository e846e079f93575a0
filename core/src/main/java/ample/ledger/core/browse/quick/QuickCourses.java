package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.NumberPattern;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Takes from a line of text what names courses: their codes, numbers, levels and credits; and single sections. */
final class QuickCourses {

    /** Of a course number, behind its first digits. */
    private static final String REST = "(?:\\.[0-9]{1,4}){0,3}\\p{L}{0,4}";

    private static final Pattern NUMBER = Pattern.compile("[0-9]{1,4}" + REST + "|[1-9]xx|[0-9]{1,4}[-–][0-9]{1,4}");
    private static final Pattern SINGLE = Pattern.compile("[0-9]{1,4}" + REST);
    private static final Pattern HUNDREDS_LEVEL = Pattern.compile("([1-9])00(?:-?level)?s?");
    private static final Pattern SUBJECT_AND_NUMBER =
            Pattern.compile("(\\p{L}{2,12}|[0-9]{2,4})[-:._]?([0-9]{1,4}" + REST + "|[1-9]xx)");
    private static final String CREDITS = "[0-9]{1,3}(?:\\.[0-9]{1,2})?";
    private static final Pattern SOME_CREDITS =
            Pattern.compile("(" + CREDITS + ")(?:[-–](" + CREDITS + "))?(\\+)?-?(cr|credits?)?");
    private static final List<List<String>> ORDINALS = List.of(
            List.of("first", "1st"),
            List.of("second", "2nd"),
            List.of("third", "3rd"),
            List.of("fourth", "4th"),
            List.of("fifth", "5th"),
            List.of("sixth", "6th"));
    private static final Set<String> FOR_BEGINNERS = Set.of("intro", "introductory", "beginner", "beginners");

    private static final int MOST_WORDS_OF_A_CODE = 3;

    private final QuickLine line;
    private final Vocabulary vocabulary;

    QuickCourses(QuickLine line, Vocabulary vocabulary) {
        this.line = line;
        this.vocabulary = vocabulary;
    }

    /** "glac 240", "glac240d", "31-210", "glac 2xx", "tide, glac 2xx", and "glac 240d F3e", which is a section. */
    Optional<Meant> named(int at) {
        List<String> subjects = new ArrayList<>();
        int next = at + (line.word(at).equals("in") ? 1 : 0);
        for (Optional<String> subject = subject(line.word(next));
                subject.isPresent();
                subject = subject(line.word(next))) {
            subjects.add(subject.get());
            next++;
        }
        if (!subjects.isEmpty() && NUMBER.matcher(line.word(next)).matches() && !isClock(next)) {
            String number = line.word(next);
            List<NumberPattern> patterns = subjects.stream()
                    .flatMap(subject -> NumberPattern.parse(subject + ":" + number).stream())
                    .toList();
            boolean several = patterns.stream().allMatch(pattern -> pattern.high() > pattern.low());
            // "tide, glac 240": the number is that of the last.
            if (subjects.size() == 1 && !patterns.isEmpty() || several && patterns.size() == subjects.size()) {
                int count = next + 1 - at;
                return subjects.size() == 1
                        ? section(at, count, subjects.get(0), number).or(() -> Optional.of(numbers(count, patterns)))
                        : Optional.of(numbers(count, patterns));
            }
        }
        Matcher both = SUBJECT_AND_NUMBER.matcher(line.word(at));
        return both.matches()
                ? subject(both.group(1))
                        .flatMap(subject -> section(at, 1, subject, both.group(2))
                                .or(() -> NumberPattern.parse(subject + ":" + both.group(2))
                                        .map(pattern -> numbers(1, List.of(pattern)))))
                : Optional.empty();
    }

    private static Meant numbers(int tokens, List<NumberPattern> patterns) {
        return Meant.of(tokens, Topic.NUMBER, brief -> patterns.forEach(one -> brief.number(one, false)))
                .denied(Topic.NUMBER, brief -> patterns.forEach(one -> brief.number(one, true)));
    }

    private static Meant entries(int tokens, List<EntryNumber> entries) {
        return Meant.of(tokens, Topic.ENTRY, brief -> entries.forEach(one -> brief.entry(one, false)))
                .denied(Topic.ENTRY, brief -> entries.forEach(one -> brief.entry(one, true)));
    }

    /** The section of a course that the next word names. */
    private Optional<Meant> section(int at, int count, String subject, String number) {
        if (!SINGLE.matcher(number).matches()) {
            return Optional.empty();
        }
        List<Section> ofCourse = vocabulary.course(subject, number).map(Course::code).stream()
                .flatMap(course -> vocabulary
                        .sections()
                        .filter(section -> section.course().code().equals(course)))
                .toList();
        // A code may have a slash, which parts words: "1N/a". The longest code that stands here is meant.
        for (int words = MOST_WORDS_OF_A_CODE; words > 0; words--) {
            int from = at + count;
            int to = from + words;
            List<EntryNumber> entries = to > line.size()
                    ? List.of()
                    : ofCourse.stream()
                            .filter(section -> phrase(section).equals(line.phrase(from, to - from)))
                            .map(Section::entry)
                            .distinct()
                            .toList();
            if (!entries.isEmpty()) {
                return Optional.of(entries(count + words, entries));
            }
        }
        return Optional.empty();
    }

    /** Its code as a line of text has it. */
    private static String phrase(Section section) {
        return QuickToken.of(section.code()).stream().map(QuickToken::plain).collect(Collectors.joining(" "));
    }

    /** The code of the subject that a word is, in lower case. */
    private Optional<String> subject(String word) {
        return vocabulary.values(Facet.SUBJECT).stream()
                .map(Facet.Value::code)
                .filter(code -> QuickToken.plain(code).equals(word))
                .map(code -> code.toLowerCase(Locale.ROOT))
                .findFirst();
    }

    private boolean isClock(int at) {
        return Set.of("am", "pm").contains(line.word(at + 1));
    }

    /** "3 credits", "4cr", "3-4 credits", "at most 3 credits", "less than 4 credits", "4+ credits". */
    Optional<Meant> credits(int at) {
        Optional<QuickLine.Bound> bound = line.bound(at);
        int lead = bound.map(QuickLine.Bound::tokens).orElse(0);
        Matcher matcher = SOME_CREDITS.matcher(line.word(at + lead));
        if (!matcher.matches()) {
            return Optional.empty();
        }
        boolean joined = matcher.group(4) != null;
        if (!joined && !line.word(at + lead + 1).matches("credits?|cr")) {
            return Optional.empty();
        }
        BigDecimal low = new BigDecimal(matcher.group(1));
        BigDecimal high = matcher.group(2) == null ? low : new BigDecimal(matcher.group(2));
        Predicate<BigDecimal> fits = credits -> credits.compareTo(low) >= 0 && credits.compareTo(high) <= 0;
        if (matcher.group(3) != null) {
            fits = credits -> credits.compareTo(low) >= 0;
        } else if (bound.isPresent()) {
            QuickLine.Bound how = bound.get();
            fits = credits -> how.allows(credits.compareTo(low));
        }
        Set<String> codes = codesOf(fits);
        if (codes.isEmpty() && bound.isEmpty() && matcher.group(3) == null) {
            codes = vocabulary
                    .possible(Facet.CREDITS, matcher.group(2) == null ? low.toPlainString() : low + "-" + high)
                    .map(Set::of)
                    .orElse(Set.of());
        }
        return codes.isEmpty()
                ? Optional.empty()
                : Optional.of(values(lead + (joined ? 1 : 2), Facet.CREDITS, Set.copyOf(codes)));
    }

    private Set<String> codesOf(Predicate<BigDecimal> fits) {
        return vocabulary.values(Facet.CREDITS).stream()
                .map(Facet.Value::code)
                .filter(code -> fits.test(new BigDecimal(code)))
                .collect(Collectors.toSet());
    }

    private static Meant values(int tokens, Facet facet, Set<String> codes) {
        Topic topic = Topic.of(facet);
        return Meant.of(tokens, topic, brief -> brief.values(facet, codes, false))
                .denied(topic, brief -> brief.values(facet, codes, true));
    }

    /** "level 2", "second year", "200 level", an entry number, a course number. */
    Optional<Meant> figures(int at) {
        Optional<Meant> level = level(at);
        if (level.isPresent()) {
            return level;
        }
        Optional<EntryNumber> entry = EntryNumber.parse(line.word(at)).filter(vocabulary::hasEntry);
        if (entry.isPresent()) {
            return Optional.of(entries(1, List.of(entry.get())));
        }
        Matcher hundreds = HUNDREDS_LEVEL.matcher(line.word(at));
        boolean ofLevel = line.word(at + 1).equals("level");
        if (hundreds.matches() && (line.word(at).length() > 3 || ofLevel)) {
            int low = Integer.parseInt(hundreds.group(1)) * 100;
            return Optional.of(numbers(ofLevel ? 2 : 1, List.of(new NumberPattern(low, low + 99, ""))));
        }
        if (line.word(at).length() >= 3 && NUMBER.matcher(line.word(at)).matches()) {
            return NumberPattern.parse(line.word(at)).map(number -> numbers(1, List.of(number)));
        }
        return Optional.empty();
    }

    private Optional<Meant> level(int at) {
        String word = line.word(at);
        boolean joined = word.endsWith("-year");
        String year = word.replaceFirst("-year$", "");
        for (int i = 0; i < ORDINALS.size(); i++) {
            if (ORDINALS.get(i).contains(year) && (joined || line.word(at + 1).matches("years?"))) {
                return level(i + 1, joined ? 1 : 2);
            }
        }
        if (FOR_BEGINNERS.contains(word)) {
            return level(1, 1);
        }
        return Set.of("level", "year").contains(word)
                ? QuickLine.whole(line.word(at + 1)).flatMap(number -> level(number, 2))
                : Optional.empty();
    }

    private Optional<Meant> level(int number, int count) {
        return vocabulary
                .value(Facet.LEVEL, String.valueOf(number))
                .map(level -> values(count, Facet.LEVEL, Set.of(level.code())));
    }
}
