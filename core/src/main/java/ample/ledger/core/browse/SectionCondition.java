package ample.ledger.core.browse;

import ample.ledger.core.schedule.EntryNumber;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** A condition on the section alone, whatever its companions are. */
public sealed interface SectionCondition extends Condition {

    /**
     * The section has one of these values of the facet, or all of them.
     *
     * @param codes at least one
     */
    record Having(SectionFacet facet, Set<String> codes, Facet.Match match) implements SectionCondition {

        /** One value or more; of a single one {@code match} makes no difference and is {@code ANY}. */
        public Having {
            codes = FacetValues.sorted(facet, codes);
            match = codes.size() == 1 ? Facet.Match.ANY : match;
        }

        @Override
        public Topic topic() {
            return facet.topic();
        }

        @Override
        public CandidateSet in(Moment moment) {
            return FacetValues.in(moment, facet, codes, match);
        }

        @Override
        public Phrase phrase(Wording wording) {
            return FacetValues.phrase(wording, facet, codes, match);
        }

        @Override
        public Map<String, String> parameters() {
            return FacetValues.parameters(facet, codes, match);
        }
    }

    /**
     * The section is one of these.
     *
     * @param entries at least one; those that the term does not have name no section
     */
    record Entries(Set<EntryNumber> entries) implements SectionCondition {

        private static final int MOST_NUMBERS = 3;

        public Entries {
            if (entries.isEmpty()) {
                throw new IllegalArgumentException("A condition on the entry number must say which");
            }
            entries = Collections.unmodifiableSortedSet(new TreeSet<>(entries));
        }

        @Override
        public Topic topic() {
            return Topic.ENTRY;
        }

        @Override
        public CandidateSet in(Moment moment) {
            return moment.index().entered(entries);
        }

        @Override
        public Phrase phrase(Wording wording) {
            List<String> numbers = entries.stream().map(EntryNumber::digits).toList();
            return new Phrase(
                    "with entry number",
                    numbers.size() > MOST_NUMBERS
                            ? "one of %d given".formatted(numbers.size())
                            : Phrases.anyOf(numbers));
        }

        @Override
        public Map<String, String> parameters() {
            return Map.of("entry", entries.stream().map(EntryNumber::digits).collect(Collectors.joining(",")));
        }
    }
}
