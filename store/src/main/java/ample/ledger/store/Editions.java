package ample.ledger.store;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.edition.Edition;
import ample.ledger.core.exchange.BundleFormat;
import ample.ledger.core.exchange.BundleTable;
import ample.ledger.core.exchange.BundleTables;
import ample.ledger.core.exchange.Fault;
import ample.ledger.core.exchange.FaultyBundleException;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.exchange.TableBuilder;
import ample.ledger.core.exchange.TableSchema;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.TermCode;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.ref.SoftReference;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.TransientDataAccessResourceException;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.transaction.support.TransactionTemplate;

/** The editions of every term: posting one, finding the current one, going back to one, and reading it. */
public class Editions {

    private final EditionMapper mapper;
    private final TellingMapper telling;
    private final DataSource dataSource;
    private final TransactionTemplate transaction;

    /** What was posted here, until somebody reads it or memory is short: it need not be read and assembled again. */
    private final Map<Long, SoftReference<Schedule>> justPosted = new ConcurrentHashMap<>();

    /** Those that somebody has, and those that are being read: telling of an edition reads the same two as showing it. */
    private final Cache<Long, Schedule> inUse =
            Caffeine.newBuilder().weakValues().build();

    Editions(EditionMapper mapper, TellingMapper telling, DataSource dataSource, TransactionTemplate transaction) {
        this.mapper = mapper;
        this.telling = telling;
        this.dataSource = dataSource;
        this.transaction = transaction;
    }

    /**
     * What came of a posting.
     *
     * @param posted false when the current edition holds the same tables already and nothing was changed
     */
    public record Posting(Edition edition, boolean posted) {}

    /**
     * Makes {@code bundle} the current edition of its term, whole or not at all. Readers see the edition before it until
     * it is whole.
     *
     * @param by who posts it: the name of an account, or how else it is posted
     * @throws PostingUnderWayException when somebody else is posting the term
     * @throws FaultyBundleException when the term is another institution's
     */
    public Posting post(ScheduleBundle bundle, String note, String by, Instant now) {
        String institution = bundle.schedule().institution().code();
        TermCode term = bundle.schedule().term().code();
        Posting posting = transaction.execute(status -> {
            Unhurried.here(dataSource);
            lock(term);
            Optional<Edition> current = mapper.current(term);
            current.map(Edition::institution)
                    .filter(owner -> !owner.equals(institution))
                    .ifPresent(owner -> refuse(term, owner));
            if (current.isPresent() && current.get().checksum().equals(bundle.checksum())) {
                return new Posting(current.get(), false);
            }
            int number = mapper.lastNumber(term) + 1;
            Edition draft = new Edition(0, institution, term, number, now, note, by, bundle.checksum());
            Edition edition = draft.withId(mapper.insertEdition(draft));
            load(edition, bundle.tables());
            makeCurrent(edition);
            return new Posting(edition, true);
        });
        if (posting.posted()) {
            justPosted.put(posting.edition().id(), new SoftReference<>(bundle.schedule()));
        }
        return posting;
    }

    /**
     * Makes an earlier edition, or any, the current one of its term again.
     *
     * @return the edition, or empty when the term has none of that number
     * @throws PostingUnderWayException when somebody is posting the term
     */
    public Optional<Edition> makeCurrent(TermCode term, int number) {
        return transaction.execute(status -> {
            lock(term);
            Optional<Edition> edition = mapper.numbered(term, number);
            edition.ifPresent(this::makeCurrent);
            return edition;
        });
    }

    /** Whether a bundle with this checksum was posted before, as the current edition of the term or an earlier one. */
    public boolean wasPosted(TermCode term, String checksum) {
        return mapper.hasEdition(term, checksum);
    }

    /** The current edition of every term, by the code of the term. */
    public List<Edition> allCurrent() {
        return mapper.allCurrent();
    }

    /** The current edition of the term, or empty when nothing was posted for it. */
    public Optional<Edition> current(TermCode term) {
        return mapper.current(term);
    }

    /** Every edition of the term, the latest first. */
    public List<Edition> history(TermCode term) {
        return mapper.history(term);
    }

    /** The edition of that id; empty where there is none. */
    public Optional<Edition> withId(TermCode term, long id) {
        return mapper.history(term).stream()
                .filter(edition -> edition.id() == id)
                .findFirst();
    }

    public Optional<Edition> numbered(TermCode term, int number) {
        return mapper.numbered(term, number);
    }

    /** The tables of the edition, as they were posted. */
    @SuppressWarnings("NullAway") // Java 17 does not read from compiled classes that a row's cells may be null.
    public BundleTables tables(Edition edition) {
        return transaction.execute(status -> {
            Unhurried.here(dataSource);
            Map<String, BundleTable> tables = new LinkedHashMap<>();
            for (TableSchema schema : BundleFormat.current().tables()) {
                TableBuilder rows = new TableBuilder(schema);
                mapper.selectRows(
                        edition.id(),
                        schema.name(),
                        schema.columnNames(),
                        row -> rows.add(0, cells(schema, row.getResultObject())));
                tables.put(schema.name(), rows.build());
            }
            return new BundleTables(tables);
        });
    }

    /** The schedule that the edition states: one, however many ask for it at the same time. */
    public Schedule schedule(Edition edition) {
        return inUse.get(edition.id(), id -> {
            SoftReference<Schedule> posted = justPosted.remove(id);
            Schedule known = posted == null ? null : posted.get();
            return known == null ? ScheduleBundle.scheduleOf(tables(edition)) : known;
        });
    }

    private void lock(TermCode term) {
        if (!mapper.tryLockTerm(term)) {
            throw new PostingUnderWayException(term);
        }
    }

    private static void refuse(TermCode term, String owner) {
        throw new FaultyBundleException(List.of(new Fault(
                "terms.csv",
                2,
                "term",
                term.text(),
                "This is a term of %s; every term of the system has a code of its own.".formatted(owner))));
    }

    private void load(Edition edition, BundleTables tables) {
        Connection connection = DataSourceUtils.getConnection(dataSource);
        try {
            for (TableSchema schema : BundleFormat.current().tables()) {
                BulkLoad.load(connection, edition.id(), new BundleTable(schema, tables.rows(schema.name())));
            }
        } catch (SQLException e) {
            throw new TransientDataAccessResourceException("The edition could not be loaded: " + e.getMessage(), e);
        } catch (IOException e) {
            throw new UncheckedIOException("The edition could not be loaded: " + e.getMessage(), e);
        } finally {
            DataSourceUtils.releaseConnection(connection, dataSource);
        }
    }

    private void makeCurrent(Edition edition) {
        telling.editionToTell(edition.term(), edition.id());
        mapper.makeCurrent(edition);
        mapper.announce(edition.term());
    }

    private static @Nullable Object[] cells(TableSchema schema, Map<String, Object> row) {
        return schema.columns().stream()
                .map(column -> plain(column, row.get(column.name())))
                .toArray();
    }

    /** The driver's own date and time types as those of java.time. It gives midnight for 24:00; nothing that is posted ends at 0:00. */
    private static @Nullable Object plain(TableSchema.Column column, @Nullable Object cell) {
        if (cell instanceof java.sql.Date date) {
            return date.toLocalDate();
        }
        if (cell instanceof java.sql.Time time) {
            LocalTime known = time.toLocalTime();
            return known.equals(LocalTime.MIDNIGHT) && column.name().equals("ends") ? ClockTime.END_OF_DAY : known;
        }
        return cell;
    }
}
