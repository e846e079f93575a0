package ample.ledger.web.term;

import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.browse.quick.QuickFind;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.Section;
import java.util.List;

/**
 * What is browsed: one term, or all terms of a season together.
 *
 * @param path the beginning of its addresses: {@code autumn-2031}, or {@code season/autumn-2031}
 * @param name "Autumn 2031"
 * @param terms at least one, by their first day
 * @param vocabulary the codes that a brief can name here
 * @param days every day of the week on which some section meets
 */
public record Place(
        String path, String name, List<PostedTerm> terms, Vocabulary vocabulary, QuickFind quickFind, Days days) {

    static Place of(PostedTerm posted) {
        TermIndex index = posted.index();
        return new Place(
                posted.edition().term().text(),
                posted.schedule().term().name(),
                List.of(posted),
                index.vocabulary(),
                new QuickFind(index),
                days(List.of(index)));
    }

    static Place ofSeason(SeasonCode code, List<PostedTerm> terms) {
        List<TermIndex> indexes = terms.stream().map(PostedTerm::index).toList();
        Vocabulary vocabulary =
                Vocabulary.of(indexes.stream().map(TermIndex::schedule).toList());
        return new Place(
                "season/" + code,
                terms.get(0).schedule().term().season().name() + ", all colleges",
                terms,
                vocabulary,
                new QuickFind(indexes, vocabulary),
                days(indexes));
    }

    private static Days days(List<TermIndex> indexes) {
        return indexes.stream()
                .flatMap(index -> index.schedule().sections().stream())
                .map(Section::days)
                .reduce(Days.NONE, Days::plus);
    }

    public List<TermIndex> indexes() {
        return terms.stream().map(PostedTerm::index).toList();
    }

    /** Whether several terms are browsed together. */
    public boolean season() {
        return terms.size() > 1;
    }

    public Addresses addresses() {
        return new Addresses(path);
    }
}
