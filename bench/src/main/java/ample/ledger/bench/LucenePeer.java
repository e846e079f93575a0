package ample.ledger.bench;

import ample.ledger.bench.Rows.Row;
import ample.ledger.core.browse.brief.Between;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Closed;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Dates;
import ample.ledger.core.browse.brief.Having;
import ample.ledger.core.browse.brief.NumberPattern;
import ample.ledger.core.browse.brief.Numbers;
import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.browse.brief.Seats;
import ample.ledger.core.browse.brief.Timed;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.calendar.ClockTime;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.Field;
import org.apache.lucene.document.IntPoint;
import org.apache.lucene.document.StringField;
import org.apache.lucene.facet.DrillDownQuery;
import org.apache.lucene.facet.DrillSideways;
import org.apache.lucene.facet.FacetResult;
import org.apache.lucene.facet.FacetsConfig;
import org.apache.lucene.facet.LabelAndValue;
import org.apache.lucene.facet.sortedset.DefaultSortedSetDocValuesReaderState;
import org.apache.lucene.facet.sortedset.SortedSetDocValuesFacetField;
import org.apache.lucene.facet.sortedset.SortedSetDocValuesReaderState;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.store.ByteBuffersDirectory;
import org.apache.lucene.util.BytesRef;
import org.jspecify.annotations.Nullable;

/**
 * Lucene with its facets, asked an easier question: a document is a section by itself, complete sets are left aside, and
 * only matches and value counts are wanted. So its figures are those of the ledger for sections without companions. The
 * whole question would take it at least as long.
 */
final class LucenePeer {

    /** Rows of sections that are their own complete set; of the others the first. */
    private final Rows data;

    private final IndexSearcher searcher;
    private final SortedSetDocValuesReaderState state;
    private final FacetsConfig config = new FacetsConfig();

    LucenePeer(Rows data, PlainPass plain) throws IOException {
        this.data = data;
        for (Facet facet : Facet.values()) {
            config.setMultiValued(facet.name(), true);
        }
        ByteBuffersDirectory directory = new ByteBuffersDirectory();
        try (IndexWriter writer = new IndexWriter(directory, new IndexWriterConfig())) {
            Set<Integer> done = new HashSet<>();
            for (Row row : data.rows) {
                if (done.add(row.section())) {
                    writer.addDocument(config.build(document(row)));
                }
            }
            writer.forceMerge(1);
        }
        DirectoryReader reader = DirectoryReader.open(directory);
        this.searcher = new IndexSearcher(reader);
        this.state = new DefaultSortedSetDocValuesReaderState(reader, config);
    }

    private Document document(Row row) {
        Document document = new Document();
        for (Facet facet : Facet.values()) {
            List<String> codes = List.copyOf(data.places.get(facet).keySet());
            for (int value : data.values.get(facet)[row.section()]) {
                document.add(new SortedSetDocValuesFacetField(facet.name(), codes.get(value)));
                document.add(new StringField(facet.name() + "-value", codes.get(value), Field.Store.NO));
            }
        }
        IntStream.range(0, 7)
                .filter(day -> (row.itself().days() >> day & 1) == 1)
                .forEach(day -> document.add(new StringField("day", String.valueOf(day), Field.Store.NO)));
        row.itself()
                .hours()
                .cells()
                .forEach(cell -> document.add(new StringField("cell", String.valueOf(cell), Field.Store.NO)));
        document.add(new IntPoint("start", row.itself().start()));
        document.add(new IntPoint("end", row.itself().end()));
        document.add(new IntPoint("first", row.itself().first()));
        document.add(new IntPoint("last", row.itself().last()));
        document.add(new IntPoint("weeks", row.itself().weeks()));
        document.add(new IntPoint(
                "digits", data.sections.get(row.section()).course().code().digits()));
        document.add(new IntPoint("spread", data.spread[row.section()]));
        document.add(new IntPoint("unqueued", data.spreadOfUnqueued[row.section()]));
        return document;
    }

    /** How many sections fit by themselves, and for each facet and value how many there would be with it. */
    record Found(int fitting, Map<String, Map<String, Integer>> counts) {}

    Found answer(Brief brief) throws IOException {
        BooleanQuery.Builder base = new BooleanQuery.Builder();
        base.add(new MatchAllDocsQuery(), BooleanClause.Occur.FILTER);
        List<Condition> drilled = new ArrayList<>();
        for (Condition condition : brief.conditions()) {
            if (facetOf(condition) == null) {
                add(base, condition);
            } else {
                drilled.add(condition);
            }
        }
        DrillDownQuery query = new DrillDownQuery(config, base.build());
        for (Condition condition : drilled) {
            Facet facet = facetOf(condition);
            for (String code : brief.codes(facet)) {
                query.add(facet.name(), code);
            }
        }
        DrillSideways.DrillSidewaysResult found = new DrillSideways(searcher, config, state).search(query, 1);
        Map<String, Map<String, Integer>> counts = new TreeMap<>();
        for (Facet facet : Answer.FACETS) {
            Map<String, Integer> some = new TreeMap<>();
            FacetResult result = found.facets.getAllChildren(facet.name());
            if (result != null) {
                for (LabelAndValue each : result.labelValues) {
                    some.put(each.label, each.value.intValue());
                }
            }
            counts.put(facet.name(), some);
        }
        return new Found(Math.toIntExact(found.hits.totalHits.value), counts);
    }

    private static @Nullable Facet facetOf(Condition condition) {
        return condition instanceof Having having ? having.facet() : null;
    }

    private static void add(BooleanQuery.Builder query, Condition condition) {
        if (condition instanceof Numbers numbers) {
            NumberPattern only = numbers.numbers().get(0);
            filter(query, IntPoint.newRangeQuery("digits", only.low(), only.high()));
        } else if (condition instanceof Between between) {
            filter(query, atLeast("start", ClockTime.minuteOfDay(between.from().orElseThrow())));
            filter(query, atMost("end", ClockTime.minuteOfDay(between.to().orElseThrow())));
        } else if (condition instanceof Closed closed) {
            query.add(terms("cell", closed.hours().cells()), BooleanClause.Occur.MUST_NOT);
        } else if (condition instanceof Dates dates) {
            dates.startsFrom().ifPresent(date -> filter(query, atLeast("first", (int) date.toEpochDay())));
            dates.endsBy().ifPresent(date -> filter(query, atMost("last", (int) date.toEpochDay())));
            dates.mostWeeks().ifPresent(weeks -> filter(query, atMost("weeks", weeks)));
        } else if (condition instanceof Timed) {
            filter(query, terms("day", IntStream.range(0, 7)));
        } else if (condition instanceof Seats seats) {
            filter(query, atLeast(seats.waitingAtMost().isPresent() ? "unqueued" : "spread", seats.atLeast()));
        } else {
            days(query, (OnDays) condition);
        }
    }

    private static void days(BooleanQuery.Builder query, OnDays condition) {
        int asked = condition.days().mask();
        IntStream wanted = IntStream.range(0, 7).filter(day -> (asked >> day & 1) == 1);
        IntStream others = IntStream.range(0, 7).filter(day -> (asked >> day & 1) == 0);
        switch (condition.rule()) {
            case ONLY -> query.add(terms("day", others), BooleanClause.Occur.MUST_NOT);
            case NONE -> query.add(terms("day", wanted), BooleanClause.Occur.MUST_NOT);
            case ANY -> filter(query, orUntimed(terms("day", wanted)));
            case ALL -> {
                BooleanQuery.Builder each = new BooleanQuery.Builder();
                wanted.forEach(day -> filter(each, terms("day", IntStream.of(day))));
                filter(query, orUntimed(each.build()));
            }
        }
    }

    private static Query orUntimed(Query timed) {
        BooleanQuery untimed = new BooleanQuery.Builder()
                .add(new MatchAllDocsQuery(), BooleanClause.Occur.FILTER)
                .add(terms("day", IntStream.range(0, 7)), BooleanClause.Occur.MUST_NOT)
                .build();
        return new BooleanQuery.Builder()
                .add(timed, BooleanClause.Occur.SHOULD)
                .add(untimed, BooleanClause.Occur.SHOULD)
                .build();
    }

    private static void filter(BooleanQuery.Builder query, Query clause) {
        query.add(clause, BooleanClause.Occur.FILTER);
    }

    private static Query atLeast(String field, int value) {
        return IntPoint.newRangeQuery(field, value, Integer.MAX_VALUE);
    }

    private static Query atMost(String field, int value) {
        return IntPoint.newRangeQuery(field, Integer.MIN_VALUE, value);
    }

    private static Query terms(String field, IntStream values) {
        return new TermInSetQuery(
                field,
                values.mapToObj(value -> new BytesRef(String.valueOf(value))).toList());
    }
}
