package ample.ledger.store;

import ample.ledger.core.edition.Edition;
import ample.ledger.core.exchange.BundleFormat;
import ample.ledger.core.exchange.BundleTable;
import ample.ledger.core.exchange.BundleTables;
import ample.ledger.core.exchange.FaultyBundleException;
import ample.ledger.core.exchange.ScheduleAssembler;
import ample.ledger.core.exchange.TableSchema;
import ample.ledger.core.schedule.Schedule;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.support.TransactionTemplate;

/** The editions of every term: posting one, finding the current one, and reading it back. */
public class Editions {

    /** PostgreSQL takes at most 65,535 parameters a statement; the widest table has 17 columns. */
    private static final int ROWS_PER_STATEMENT = 1_000;

    private final EditionMapper mapper;
    private final TransactionTemplate transaction;

    Editions(EditionMapper mapper, TransactionTemplate transaction) {
        this.mapper = mapper;
        this.transaction = transaction;
    }

    /**
     * What came of a posting.
     *
     * @param posted false when the current edition holds the same tables already and nothing was changed
     */
    public record Posting(Edition edition, boolean posted) {}

    /**
     * Makes {@code tables} the current edition of their term, whole or not at all. Readers see the edition before it
     * until it is whole. Postings of one term wait for each other.
     *
     * @throws FaultyBundleException when the tables do not make a schedule; nothing was changed
     */
    public Posting post(BundleTables tables, String note, Instant now) {
        String term = ScheduleAssembler.assemble(tables).term().code();
        String checksum = Checksum.of(tables);
        return transaction.execute(status -> {
            mapper.lockTerm(term);
            Optional<Edition> current = mapper.current(term);
            if (current.isPresent() && current.get().checksum().equals(checksum)) {
                return new Posting(current.get(), false);
            }
            Edition draft = new Edition(0, term, mapper.lastNumber(term) + 1, now, note, checksum);
            Edition edition =
                    new Edition(mapper.insertEdition(draft), term, draft.number(), now, draft.note(), draft.checksum());
            BundleFormat.current().tables().forEach(schema -> insert(edition, schema, tables.rows(schema.name())));
            mapper.makeCurrent(edition);
            return new Posting(edition, true);
        });
    }

    /** Whether these very tables were posted before, as the current edition of their term or an earlier one. */
    public boolean wasPosted(BundleTables tables) {
        String term = ScheduleAssembler.assemble(tables).term().code();
        return mapper.hasEdition(term, Checksum.of(tables));
    }

    /** The codes of all terms that have been posted, in order. */
    public List<String> terms() {
        return mapper.terms();
    }

    /** The current edition of the term, or empty when nothing was posted for it. */
    public Optional<Edition> current(String term) {
        return mapper.current(term);
    }

    /** The tables of the edition, as they were posted. */
    public BundleTables tables(Edition edition) {
        Map<String, BundleTable> tables = new LinkedHashMap<>();
        for (TableSchema schema : BundleFormat.current().tables()) {
            List<BundleTable.Row> rows = mapper.selectRows(edition.id(), schema.name(), schema.columnNames()).stream()
                    .map(cells -> row(schema, cells))
                    .toList();
            tables.put(schema.name(), new BundleTable(schema, rows));
        }
        return new BundleTables(tables);
    }

    /** The schedule that the edition states. */
    public Schedule schedule(Edition edition) {
        return ScheduleAssembler.assemble(tables(edition));
    }

    private void insert(Edition edition, TableSchema schema, List<BundleTable.Row> rows) {
        for (int from = 0; from < rows.size(); from += ROWS_PER_STATEMENT) {
            List<List<@Nullable Object>> values = new ArrayList<>();
            for (int i = from; i < Math.min(rows.size(), from + ROWS_PER_STATEMENT); i++) {
                List<@Nullable Object> row = new ArrayList<>();
                row.add(i + 1);
                for (Object cell : rows.get(i).cells()) {
                    row.add(cell);
                }
                values.add(row);
            }
            mapper.insertRows(edition.id(), schema.name(), schema.columnNames(), values);
        }
    }

    private static BundleTable.Row row(TableSchema schema, Map<String, Object> cells) {
        @Nullable Object[] typed = schema.columns().stream()
                .map(column -> plain(cells.get(column.name())))
                .toArray();
        return new BundleTable.Row(schema, 0, typed);
    }

    /** The driver's own date and time types as those of java.time. */
    private static @Nullable Object plain(@Nullable Object cell) {
        if (cell instanceof java.sql.Date date) {
            return date.toLocalDate();
        }
        return cell instanceof java.sql.Time time ? (Object) time.toLocalTime() : cell;
    }
}
