package ample.ledger.store;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import javax.sql.DataSource;
import org.postgresql.PGConnection;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;

/**
 * Tells when another edition may have become current, in this instance of the application or in another.
 *
 * <p>Listens to what postings announce ({@code LISTEN}/{@code NOTIFY}), on a connection of its own. Whatever goes
 * missing on that way — the database restarts, a connection breaks — is made good by telling every few seconds, news or
 * none: who is told looks for itself.
 */
public final class EditionNews implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(EditionNews.class);

    private final DataSource dataSource;
    private final Duration patience;
    private final Runnable told;
    private final Thread thread;
    private volatile boolean closed;

    /**
     * Begins to listen.
     *
     * @param patience the longest time between two tellings; above 0
     * @param told is called in a thread of this one's own
     */
    public EditionNews(DataSource dataSource, Duration patience, Runnable told) {
        this.dataSource = dataSource;
        this.patience = patience;
        this.told = told;
        this.thread = new Thread(this::run, "edition-news");
        thread.setDaemon(true);
        thread.start();
    }

    private void run() {
        while (!closed) {
            try (Connection connection = dataSource.getConnection();
                    Statement statement = connection.createStatement()) {
                statement.execute("LISTEN edition");
                listen(connection);
            } catch (SQLException | RuntimeException e) {
                LOG.debug("No news for now: {}", e.getMessage());
                pause();
            }
        }
    }

    private void listen(Connection connection) throws SQLException {
        PGConnection news = connection.unwrap(PGConnection.class);
        while (!closed) {
            told.run();
            news.getNotifications((int) patience.toMillis());
        }
    }

    private void pause() {
        try {
            Thread.sleep(patience.toMillis());
        } catch (InterruptedException e) {
            closed = true;
        }
    }

    @Override
    public void destroy() {
        closed = true;
        thread.interrupt();
    }
}
