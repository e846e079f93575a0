package ample.ledger.web.sign;

import ample.ledger.web.database.Lookups;
import ample.ledger.web.guest.Keeping;
import jakarta.servlet.http.HttpSession;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.session.MapSession;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.transaction.TransactionException;

/**
 * The sessions of those who have signed in; nobody else has one. A session has an end, however much it is used. While the database is
 * away a session of a kind stands in, which says that it is not known who asks: pages that need nobody go on, and nothing is
 * taken for a guest's that may be a student's.
 *
 * @param <S> as the repository of the database has them
 */
final class SignedInSessions<S extends Session> implements SessionRepository<Session> {

    /** Of a session: when it ends at the latest, in milliseconds of the epoch. */
    static final String ENDS_AT = "endsAt";

    private static final Logger LOG = LoggerFactory.getLogger(SignedInSessions.class);

    private final SessionRepository<S> stored;
    private final Lookups lookups;
    private final InstantSource clock;

    private SignedInSessions(SessionRepository<S> stored, Lookups lookups, InstantSource clock) {
        this.stored = stored;
        this.lookups = lookups;
        this.clock = clock;
    }

    /** @param clock of the world, not of a demo: nobody stays signed in because a demo's clock stands */
    static SessionRepository<Session> of(JdbcIndexedSessionRepository stored, Lookups lookups, InstantSource clock) {
        return new SignedInSessions<>(stored, lookups, clock);
    }

    /** Ends a session after this time, and before if nothing is done for {@code idle}. */
    static void limit(HttpSession session, Duration idle, Instant end) {
        session.setMaxInactiveInterval((int) idle.toSeconds());
        session.setAttribute(ENDS_AT, end.toEpochMilli());
    }

    @Override
    public Session createSession() {
        return stored.createSession();
    }

    @Override
    @SuppressWarnings("unchecked")
    public void save(Session session) {
        if (session.getAttribute(Keeping.AWAY_SESSION) != null) {
            return;
        }
        try {
            stored.save((S) session);
        } catch (DataAccessException | TransactionException away) {
            if (isNew(session)) {
                throw away;
            }
            // That somebody was here just now is not worth a page.
            LOG.debug("A session could not be saved: {}", away.getMessage());
        }
    }

    /** One without which who signed in would not be known by the next request. */
    private boolean isNew(Session session) {
        return session.getCreationTime().isAfter(clock.instant().minusSeconds(60));
    }

    @Override
    public @Nullable Session findById(String id) {
        try {
            Session found = lookups.soon(() -> stored.findById(id));
            if (found != null && isOver(found)) {
                stored.deleteById(id);
                return null;
            }
            return found;
        } catch (DataAccessException | TransactionException away) {
            MapSession nobody = new MapSession(id);
            nobody.setAttribute(Keeping.AWAY_SESSION, true);
            return nobody;
        }
    }

    private boolean isOver(Session session) {
        return session.getAttribute(ENDS_AT) instanceof Long end
                && clock.instant().isAfter(Instant.ofEpochMilli(end));
    }

    @Override
    public void deleteById(String id) {
        stored.deleteById(id);
    }
}
