package ample.ledger.store;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.Locale;
import javax.sql.DataSource;
import org.postgresql.PGConnection;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;

/**
 * Tells when something may be new, whichever instance of the application brought it: an edition, words on seats, or notices.
 *
 * <p>Listens to what is announced ({@code LISTEN}/{@code NOTIFY}), on a connection of its own. News can go missing on that
 * way, when the database restarts or a connection breaks. So every few seconds the listener is told that there may be some:
 * who is told looks for itself.
 */
public final class News implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(News.class);

    private final String channel;
    private final DataSource dataSource;
    private final Duration patience;
    private final Runnable told;
    private final Thread thread;
    private volatile boolean closed;

    /** What is announced in the database, each by a channel of its name in lower case. */
    public enum Channel {
        EDITION,
        SEATS,
        NOTICES
    }

    /**
     * Begins to listen.
     *
     * @param patience the longest time between two tellings; above 0
     * @param told is called in a thread of this one's own
     */
    public News(Channel channel, DataSource dataSource, Duration patience, Runnable told) {
        this.channel = channel.name().toLowerCase(Locale.ROOT);
        this.dataSource = dataSource;
        this.patience = patience;
        this.told = told;
        this.thread = new Thread(this::run, this.channel + "-news");
        thread.setDaemon(true);
        thread.start();
    }

    private void run() {
        while (!closed) {
            try (Connection connection = dataSource.getConnection();
                    Statement statement = connection.createStatement()) {
                statement.execute("LISTEN " + channel);
                listen(connection);
            } catch (SQLException e) {
                // The database is away; it will be told of once it is back.
                LOG.debug("No news for now: {}", e.getMessage());
                pause();
            } catch (RuntimeException | Error e) {
                // Whatever it is: were this thread to end, nothing new would ever be heard of again.
                LOG.error("News of {} could not be taken in", channel, e);
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
