package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Kind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.lucene.util.automaton.CharacterRunAutomaton;
import org.apache.lucene.util.automaton.LevenshteinAutomata;

/** The phrases of one edition that name values of facets. */
final class QuickWords {

    /** Words that only join others. */
    static final Set<String> JOINING = Set.of(
            "a",
            "about",
            "an",
            "and",
            "any",
            "at",
            "but",
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
            "me",
            "my",
            "of",
            "on",
            "only",
            "or",
            "please",
            "section",
            "sections",
            "taught",
            "that",
            "the",
            "to",
            "toward",
            "towards",
            "want",
            "with",
            "-",
            "–",
            "&",
            "+");

    /** Words that turn round what comes next. */
    static final Set<String> DENYING = Set.of(
            "avoid",
            "avoiding",
            "don't",
            "dont",
            "except",
            "exclude",
            "excluding",
            "minus",
            "never",
            "no",
            "non",
            "none",
            "not",
            "nothing",
            "off",
            "without");

    /** Words that say something of what comes next, and are never looked for in titles. */
    static final Set<String> COMMANDING = Stream.concat(
                    DENYING.stream(),
                    Stream.of(
                            "after", "at", "before", "between", "earlier", "fewer", "later", "least", "less", "most",
                            "than", "till", "under", "until"))
            .collect(Collectors.toUnmodifiableSet());

    /** Behind "free" these are what costs nothing. */
    static final Set<String> OF_MATERIALS = Set.of("books", "material", "materials", "textbook", "textbooks");

    /** The most words that a phrase has. */
    static final int MOST_WORDS = 6;

    /** The facets whose names are known by a part of them. */
    private static final List<Facet> IN_PARTS =
            List.of(Facet.CAMPUS, Facet.BUILDING, Facet.INSTRUCTOR, Facet.PROGRAMME);

    private static final int LEAST_LETTERS = 4;
    private static final int LEAST_LETTERS_FOR_A_TYPO = 6;
    private static final int LETTERS_FOR_TWO_TYPOS = 10;

    /** Where nothing begins before: 8, no source. */
    private static final int LATEST_FIRST_HOUR = 8;

    /** What begins in the night is no morning's. */
    private static final int EARLIEST = 5;

    private final Map<String, List<Meaning>> phrases = new HashMap<>();
    private final Map<String, List<Meaning>> parts = new HashMap<>();
    private final List<NearSubject> subjects;
    private final int firstHour;

    /** What a phrase names. */
    record Meaning(Facet facet, Set<String> codes) {}

    QuickWords(Vocabulary vocabulary) {
        for (Facet facet : Facet.values()) {
            for (Facet.Value value : vocabulary.values(facet)) {
                boolean numeric = facet == Facet.LEVEL || facet == Facet.CREDITS;
                if (!numeric && !value.code().equals(Facet.TO_BE_ANNOUNCED) && facet.isPosted()) {
                    // What institutions, or an institution's kinds, call differently has several names.
                    for (String name : value.name().split(" / ")) {
                        phrase(name, facet, Set.of(value.code()));
                    }
                    phrase(value.code(), facet, Set.of(value.code()));
                    phrase(value.code().replace('-', ' '), facet, Set.of(value.code()));
                    if (facet == Facet.KIND) {
                        Kind kind = Coded.parse(Kind.class, value.code()).orElseThrow();
                        phrase(kind.label(), facet, Set.of(value.code()));
                        phrase(kind.label() + "s", facet, Set.of(value.code()));
                    }
                }
            }
        }
        for (String online : List.of("online", "remote", "remotely")) {
            phrase(online, Facet.DELIVERY, Set.of("online-timed", "online-untimed"));
        }
        for (String onSite :
                List.of("in person", "in-person", "face to face", "face-to-face", "on site", "on campus")) {
            phrase(onSite, Facet.DELIVERY, Set.of("on-site"));
        }
        phrase("asynchronous", Facet.DELIVERY, Set.of("online-untimed"));
        phrase("async", Facet.DELIVERY, Set.of("online-untimed"));
        phrase("synchronous", Facet.DELIVERY, Set.of("online-timed"));
        phrase("live online", Facet.DELIVERY, Set.of("online-timed"));
        phrase("hybrid", Facet.DELIVERY, Set.of("mixed"));
        phrase("blended", Facet.DELIVERY, Set.of("mixed"));
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
        vocabulary
                .subjects()
                .forEach(subject ->
                        subject.knownAs().forEach(word -> phrase(word, Facet.SUBJECT, Set.of(subject.code()))));
        Set<String> ofSubjects = vocabulary
                .subjects()
                .flatMap(subject -> QuickToken.of(subject.name()).stream())
                .map(QuickToken::plain)
                .collect(Collectors.toSet());
        for (Facet facet : IN_PARTS) {
            // A programme is mostly called after a subject, and the subject is what is meant.
            parts(facet, vocabulary.values(facet), facet == Facet.PROGRAMME ? ofSubjects : Set.of());
        }
        this.subjects =
                vocabulary.values(Facet.SUBJECT).stream().map(NearSubject::of).toList();
        this.firstHour = vocabulary
                .sections()
                .flatMap(section -> section.timings().stream())
                .flatMap(timing -> timing.time().stream())
                .mapToInt(time -> time.startMinute() / 60)
                .filter(hour -> hour >= EARLIEST)
                .reduce(LATEST_FIRST_HOUR, Math::min);
    }

    /** The hour from which one without "am" or "pm" is one of the morning. */
    int firstHour() {
        return firstHour;
    }

    /** Files the single words of names, as far as each belongs to one value: "orchard" for Orchard Yard, "okonjo" for Okonjo-Reyes. */
    private void parts(Facet facet, List<Facet.Value> values, Set<String> others) {
        Map<String, Set<String>> codes = new HashMap<>();
        for (Facet.Value value : values) {
            for (QuickToken token : QuickToken.of(value.name())) {
                Stream.concat(
                                Stream.of(token.plain()),
                                Arrays.stream(token.plain().split("[-–’']")))
                        .filter(word ->
                                word.length() >= LEAST_LETTERS && !JOINING.contains(word) && !others.contains(word))
                        .forEach(word -> codes.computeIfAbsent(word, absent -> new HashSet<>())
                                .add(value.code()));
            }
        }
        codes.forEach((word, of) -> {
            if (of.size() == 1) {
                parts.computeIfAbsent(word, absent -> new ArrayList<>()).add(new Meaning(facet, Set.copyOf(of)));
            }
        });
    }

    /** What a part of a name means, where it can mean one thing only. */
    Optional<Meaning> part(String word) {
        List<Meaning> meanings = parts.getOrDefault(word, List.of());
        return meanings.stream()
                .filter(meaning -> meanings.size() == 1 || meaning.facet() == Facet.CAMPUS)
                .findFirst();
    }

    /**
     * A subject, and what its name may be misspelled as.
     *
     * @param near accepts the name with a letter or two wrong
     */
    private record NearSubject(String code, CharacterRunAutomaton near) {

        static NearSubject of(Facet.Value subject) {
            String name = QuickToken.plain(subject.name());
            int typos = name.length() < LEAST_LETTERS_FOR_A_TYPO ? 0 : name.length() < LETTERS_FOR_TWO_TYPOS ? 1 : 2;
            return new NearSubject(
                    subject.code(), new CharacterRunAutomaton(new LevenshteinAutomata(name, true).toAutomaton(typos)));
        }
    }

    /** The subject whose name {@code plain} is but for a letter or two. */
    Optional<Meaning> nearSubject(String plain) {
        return subjects.stream()
                .filter(subject -> subject.near().run(plain))
                .map(subject -> new Meaning(Facet.SUBJECT, Set.of(subject.code())))
                .findFirst();
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
}
