package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Facet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** Takes from a line of text the names of what can be ticked: subjects, campuses, people, kinds and so on. */
final class QuickNames {

    private static final Set<String> BEFORE_NAMES = Set.of(
            "at", "in", "on", "by", "with", "taught", "toward", "towards", "for", "counting", "counts", "the", "from");

    private static final Set<String> BEFORE_PEOPLE = Set.of("with", "by", "taught");

    private final QuickLine line;
    private final QuickWords words;
    private final Predicate<String> mentioned;

    QuickNames(QuickLine line, QuickWords words, Predicate<String> mentioned) {
        this.line = line;
        this.words = words;
        this.mentioned = mentioned;
    }

    /** The longest name of a value, with a word or two before it: "at Upper Fell", "counting toward Making"; or a part of one. */
    Optional<Meant> at(int at) {
        int lead = 0;
        while (lead < 2 && BEFORE_NAMES.contains(line.word(at + lead))) {
            lead++;
        }
        for (int skipped = 0; skipped <= lead; skipped++) {
            for (int count = QuickWords.MOST_WORDS; count > 0; count--) {
                Optional<QuickWords.Meaning> meaning = at + skipped + count > line.size()
                        ? Optional.empty()
                        : words.meaning(line.phrase(at + skipped, count));
                if (meaning.isPresent()) {
                    return Optional.of(meant(skipped + count, meaning.get()));
                }
            }
        }
        boolean person = lead > 0 && BEFORE_PEOPLE.contains(line.word(at + lead - 1));
        String word = line.word(at + lead);
        int count = lead + 1;
        return words.part(word)
                .filter(meaning -> meaning.facet() == Facet.CAMPUS
                        || person && meaning.facet() == Facet.INSTRUCTOR
                        || !mentioned.test(word))
                .map(meaning -> meant(count, meaning));
    }

    /** A subject of which a letter or two are wrong: "glacology", "tidal enginering". */
    Optional<Meant> nearly(int at) {
        for (int count = Math.min(QuickWords.MOST_WORDS, line.size() - at); count > 0; count--) {
            boolean right = true;
            for (int i = 0; i < count; i++) {
                right &= mentioned.test(line.word(at + i));
            }
            Optional<QuickWords.Meaning> near = right ? Optional.empty() : words.nearSubject(line.phrase(at, count));
            if (near.isPresent()) {
                return Optional.of(meant(count, near.get()));
            }
        }
        return Optional.empty();
    }

    private static Meant meant(int tokens, QuickWords.Meaning meaning) {
        Topic topic = Topic.of(meaning.facet());
        return Meant.of(tokens, topic, brief -> brief.values(meaning.facet(), meaning.codes(), false))
                .denied(topic, brief -> brief.values(meaning.facet(), meaning.codes(), true));
    }
}
