package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Instructor;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** The phrases of one edition that name values of facets, and the suggestions that its names begin. */
final class QuickWords {

    /** Words that only join others. */
    static final Set<String> JOINING = Set.of(
            "a",
            "an",
            "and",
            "any",
            "at",
            "by",
            "class",
            "classes",
            "course",
            "courses",
            "for",
            "from",
            "i",
            "in",
            "is",
            "meeting",
            "meets",
            "of",
            "on",
            "or",
            "section",
            "sections",
            "taught",
            "that",
            "the",
            "to",
            "toward",
            "towards",
            "with",
            "-",
            "–",
            "&",
            "+");

    /** Words that say something of what comes next, and are never looked for in titles. */
    static final Set<String> COMMANDING =
            Set.of("after", "before", "between", "except", "never", "no", "not", "till", "until", "without");

    /** The most words that a phrase has. */
    static final int MOST_WORDS = 6;

    private final Map<String, List<Meaning>> phrases = new HashMap<>();
    private final NavigableMap<String, Set<QuickFind.Suggestion>> beginnings = new TreeMap<>();

    /** What a phrase names. */
    record Meaning(Facet facet, Set<String> codes) {}

    QuickWords(Vocabulary vocabulary) {
        for (Facet facet : Facet.values()) {
            for (Facet.Value value : vocabulary.values(facet)) {
                boolean numeric = facet == Facet.LEVEL || facet == Facet.CREDITS;
                if (!numeric && !value.code().equals(Facet.TO_BE_ANNOUNCED) && facet.isPosted()) {
                    phrase(value.name(), facet, Set.of(value.code()));
                    phrase(value.code(), facet, Set.of(value.code()));
                    phrase(value.code().replace('-', ' '), facet, Set.of(value.code()));
                    if (facet == Facet.KIND) {
                        phrase(value.name() + "s", facet, Set.of(value.code()));
                    }
                }
            }
        }
        phrase("online", Facet.DELIVERY, Set.of("online-timed", "online-untimed"));
        phrase("in person", Facet.DELIVERY, Set.of("on-site"));
        phrase("asynchronous", Facet.DELIVERY, Set.of("online-untimed"));
        phrase("synchronous", Facet.DELIVERY, Set.of("online-timed"));
        phrase("free materials", Facet.MATERIALS, Set.of("free"));
        phrase("free books", Facet.MATERIALS, Set.of("free"));
        phrase("no prerequisites", Facet.PREREQUISITE, Set.of("no-prerequisite"));
        phrase("prerequisites", Facet.PREREQUISITE, Set.of("prerequisite"));
        phrase("i may take", Facet.MAY_TAKE, Set.of("yes"));
        phrase("i can take", Facet.MAY_TAKE, Set.of("yes"));
        phrase("for me", Facet.MAY_TAKE, Set.of("yes"));
        phrase("i still owe", Facet.STILL_OWED, Set.of("yes"));
        phrase("what i still owe", Facet.STILL_OWED, Set.of("yes"));
        phrase("new to me", Facet.ON_RECORD, Set.of("nothing"));
        phrase("not on my record", Facet.ON_RECORD, Set.of("nothing"));
        phrase("full", Facet.STATUS, Set.of("full", "full-waitlist-open"));
        phrase("cancelled", Facet.STATUS, Set.of("cancelled"));
        phrase("waitlist open", Facet.STATUS, Set.of("full-waitlist-open"));
        suggestions(vocabulary);
    }

    private void phrase(String words, Facet facet, Set<String> codes) {
        String plain = String.join(
                " ", QuickToken.of(words).stream().map(QuickToken::plain).toList());
        if (!plain.isEmpty()) {
            List<Meaning> meanings = phrases.computeIfAbsent(plain, absent -> new ArrayList<>());
            meanings.stream()
                    .filter(known -> known.facet() == facet)
                    .findFirst()
                    .ifPresentOrElse(
                            known -> {
                                Set<String> both = new LinkedHashSet<>(known.codes());
                                both.addAll(codes);
                                meanings.set(meanings.indexOf(known), new Meaning(facet, both));
                            },
                            () -> meanings.add(new Meaning(facet, codes)));
        }
    }

    /** What {@code plain} words name; where they name several things, the one asked for most often. */
    Optional<Meaning> meaning(String plain) {
        return Optional.ofNullable(phrases.get(plain))
                .map(meanings -> meanings.stream()
                        .min(Comparator.comparing((Meaning meaning) -> meaning.facet() == Facet.DEPARTMENT)
                                .thenComparing(meaning -> Topic.of(meaning.facet())))
                        .orElseThrow());
    }

    private void suggestions(Vocabulary vocabulary) {
        for (Facet.Value subject : vocabulary.values(Facet.SUBJECT)) {
            offer(
                    QuickFind.Kind.SUBJECT,
                    subject.code() + " " + subject.name(),
                    subject.code().toLowerCase(Locale.ROOT),
                    true);
        }
        for (Course course : vocabulary.courses()) {
            offer(QuickFind.Kind.COURSE, course.written() + " " + course.title(), code(course), true);
        }
        vocabulary
                .sections()
                .flatMap(section -> section.instructors().stream())
                .map(Instructor::name)
                .distinct()
                .forEach(name -> offer(QuickFind.Kind.PERSON, name, name, true));
        vocabulary
                .sections()
                .forEach(section -> offer(
                        QuickFind.Kind.ENTRY_NUMBER,
                        section.entry() + " " + section,
                        section.entry().digits(),
                        false));
    }

    private static String code(Course course) {
        return (course.code().subject() + " " + course.code().number()).toLowerCase(Locale.ROOT);
    }

    /** Files a suggestion under its text and, where {@code everyWord}, under every word of its label. */
    private void offer(QuickFind.Kind kind, String label, String text, boolean everyWord) {
        QuickFind.Suggestion suggestion = new QuickFind.Suggestion(kind, label, text);
        file(QuickToken.plain(text), suggestion);
        if (everyWord) {
            List<String> words =
                    QuickToken.of(label).stream().map(QuickToken::plain).toList();
            for (int from = 0; from < words.size(); from++) {
                file(String.join(" ", words.subList(from, words.size())), suggestion);
            }
        }
    }

    private void file(String key, QuickFind.Suggestion suggestion) {
        beginnings.computeIfAbsent(key, absent -> new LinkedHashSet<>()).add(suggestion);
    }

    /** Those that the longest possible end of {@code text} begins; each with the whole line that taking it makes. */
    List<QuickFind.Suggestion> suggest(String text, int most) {
        List<QuickToken> tokens = QuickToken.of(text);
        if (tokens.isEmpty() || Character.isWhitespace(text.charAt(text.length() - 1))) {
            return List.of();
        }
        for (int from = Math.max(0, tokens.size() - MOST_WORDS); from < tokens.size(); from++) {
            List<String> words = tokens.subList(from, tokens.size()).stream()
                    .map(QuickToken::plain)
                    .toList();
            String before = text.substring(0, tokens.get(from).start());
            List<QuickFind.Suggestion> found = beginningWith(String.join(" ", words), before, most);
            if (!found.isEmpty()) {
                return found;
            }
        }
        return List.of();
    }

    private List<QuickFind.Suggestion> beginningWith(String beginning, String before, int most) {
        return beginnings.subMap(beginning, true, beginning + Character.MAX_VALUE, true).values().stream()
                .flatMap(Set::stream)
                .distinct()
                .sorted(Comparator.comparing(QuickFind.Suggestion::kind))
                .limit(most)
                .map(found -> new QuickFind.Suggestion(found.kind(), found.label(), before + found.text()))
                .toList();
    }
}
