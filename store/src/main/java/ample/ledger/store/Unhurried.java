package ample.ledger.store;

import java.sql.SQLException;
import java.time.Duration;
import javax.sql.DataSource;
import org.springframework.dao.TransientDataAccessResourceException;
import org.springframework.jdbc.datasource.DataSourceUtils;

/**
 * Lets the transaction that is under way wait longer for the database than others do. Requests of visitors give up after two seconds
 * or so, since a page can do without what is kept; whole editions and uploads take longer to read and to write.
 */
final class Unhurried {

    private static final Duration LONGEST = Duration.ofMinutes(5);

    private Unhurried() {}

    /** The pool sets the usual limit again when it takes the connection back. */
    static void here(DataSource dataSource) {
        try {
            // Bound to the transaction: it is the one that the statements use, and closed with it.
            DataSourceUtils.doGetConnection(dataSource).setNetworkTimeout(Runnable::run, (int) LONGEST.toMillis());
        } catch (SQLException e) {
            throw new TransientDataAccessResourceException("The database cannot be reached", e);
        }
    }
}
