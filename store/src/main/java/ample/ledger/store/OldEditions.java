package ample.ledger.store;

import ample.ledger.core.exchange.BundleFormat;
import ample.ledger.core.exchange.TableSchema;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The program that removes editions that nobody needs any more. It has the owner's password, like {@link Migration}: the application's role cannot remove
 * anything that was posted.
 *
 * <p>An edition is needed while it is current, while somebody is still to be told of it or from it, and for a time after another has taken its place.
 */
public final class OldEditions {

    private static final int LEAST_DAYS = 1;
    private static final int MOST_DAYS = 36_500;

    private OldEditions() {}

    /**
     * @param arguments for how many days an edition is kept after another has taken its place; where the database is, the environment says, as for
     *     {@link Migration}
     */
    public static void main(String[] arguments) {
        String days = arguments.length == 1 ? arguments[0] : "";
        if (!days.matches("[0-9]{1,5}") || Integer.parseInt(days) < LEAST_DAYS || Integer.parseInt(days) > MOST_DAYS) {
            System.err.printf(
                    "Say for how many days an edition is kept after another has taken its place, from %d to %,d; not '%s'.%n",
                    LEAST_DAYS, MOST_DAYS, String.join(" ", arguments));
            System.exit(2);
        }
        List<String> removed = remove(Migration.owner(), Duration.ofDays(Integer.parseInt(days)), Instant.now());
        removed.forEach(what -> System.out.println("Removed " + what + "."));
        System.out.printf("%d editions were removed.%n", removed.size());
    }

    /**
     * Removes them, all or none.
     *
     * @return what was removed, each in words: "edition 3 of autumn-2031"
     */
    static List<String> remove(DataSource owner, Duration kept, Instant now) {
        JdbcClient sql = JdbcClient.create(owner);
        List<String> tables = new ArrayList<>(
                BundleFormat.current().tables().stream().map(TableSchema::name).toList());
        // What refers to another table goes before it.
        Collections.reverse(tables);
        return new TransactionTemplate(new DataSourceTransactionManager(owner)).execute(status -> {
            List<String> words = new ArrayList<>();
            for (Old old : old(sql, now.minus(kept))) {
                tables.forEach(table -> sql.sql("DELETE FROM " + table + " WHERE edition_id = ?")
                        .param(old.id())
                        .update());
                sql.sql("DELETE FROM edition WHERE edition_id = ?")
                        .param(old.id())
                        .update();
                String what = "edition " + old.number() + " of " + old.term();
                sql.sql("INSERT INTO desk_act (at, who, what) VALUES (?, 'the owner of the database', ?)")
                        .params(now.atOffset(ZoneOffset.UTC), "removed " + what)
                        .update();
                words.add(what);
            }
            return words;
        });
    }

    /** An edition that may go. */
    private record Old(long id, String term, int number) {}

    private static List<Old> old(JdbcClient sql, Instant before) {
        return sql.sql("""
                        SELECT edition_id AS id, term, number FROM edition old
                        WHERE NOT EXISTS (SELECT 1 FROM current_edition c WHERE c.edition_id = old.edition_id)
                          AND NOT EXISTS (SELECT 1 FROM edition_to_tell t WHERE old.edition_id IN (t.before, t.now))
                          AND (SELECT min(posted_at) FROM edition next WHERE next.term = old.term AND next.number > old.number) < ?
                        ORDER BY term, number FOR UPDATE""")
                .param(before.atOffset(ZoneOffset.UTC))
                .query(Old.class)
                .list();
    }
}
