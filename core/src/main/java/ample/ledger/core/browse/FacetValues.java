package ample.ledger.core.browse;

import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** What the conditions on values of a facet have in common, whatever they look at. */
final class FacetValues {

    /** More names of subjects than this make a brief hard to read; codes stand for them then. */
    private static final int MOST_NAMES = 2;

    private FacetValues() {}

    static Set<String> sorted(Facet facet, Set<String> codes) {
        if (codes.isEmpty()) {
            throw new IllegalArgumentException("A condition on the %s must say which"
                    .formatted(facet.topic().code()));
        }
        return Collections.unmodifiableSortedSet(new TreeSet<>(codes));
    }

    static CandidateSet in(Moment moment, Facet facet, Set<String> codes, Facet.Match match) {
        FacetIndex index = moment.facet(facet);
        return match == Facet.Match.ALL ? index.all(codes) : index.any(codes);
    }

    static Condition.Phrase phrase(Wording wording, Facet facet, Set<String> codes, Facet.Match match) {
        boolean byCode = facet == CourseFacet.SUBJECT && codes.size() > MOST_NAMES;
        List<String> names = wording.vocabulary().values(facet).stream()
                .filter(value -> codes.contains(value.code()))
                .map(value -> byCode ? value.code() : value.name())
                .toList();
        boolean remote = facet == SetFacet.CAMPUS && wording.vocabulary().remote(codes);
        String text = match == Facet.Match.ALL ? "all of " + Phrases.allOf(names) : Phrases.anyOf(names);
        return remote
                ? new Condition.Phrase("", text.toLowerCase(Locale.ROOT))
                : new Condition.Phrase(facet.traits().lead(), text);
    }

    static Map<String, String> parameters(Facet facet, Set<String> codes, Facet.Match match) {
        String list = String.join(",", codes).toLowerCase(Locale.ROOT);
        return Map.of(facet.parameter(), match == Facet.Match.ALL ? "all:" + list : list);
    }
}
