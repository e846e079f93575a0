package ample.ledger.web.registrar;

import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import ample.ledger.core.registrar.RegistrarNews;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.RoundReport;
import ample.ledger.core.registrar.RoundStanding;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.registrar.Submission;
import ample.ledger.core.registrar.round.RoundFile;
import ample.ledger.core.schedule.Schedule;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Asks the registrar about one student once in a short while, however many pages want to know. While it does not answer, what it said
 * last stands, with its moment.
 */
final class RememberedStudents implements Registrar {

    private static final Logger LOG = LoggerFactory.getLogger(RememberedStudents.class);
    private static final int MOST = 20_000;
    private static final Duration LONGEST = Duration.ofHours(1);

    private final Registrar registrar;
    private final Supplier<Collection<Schedule>> posted;
    private final Cache<String, Optional<StudentFile>> fresh;
    private final Cache<String, Optional<Registration>> registrations;
    private final Cache<String, Optional<StudentFile>> last =
            Caffeine.newBuilder().expireAfterWrite(LONGEST).maximumSize(MOST).build();

    /** @param posted the schedules of all terms, by whose codes and grades records are understood */
    RememberedStudents(Registrar registrar, Duration fresh, Supplier<Collection<Schedule>> posted) {
        this.registrar = registrar;
        this.posted = posted;
        this.fresh =
                Caffeine.newBuilder().expireAfterWrite(fresh).maximumSize(MOST).build();
        this.registrations =
                Caffeine.newBuilder().expireAfterWrite(fresh).maximumSize(MOST).build();
    }

    @Override
    public Optional<StudentFile> student(String student) {
        Optional<StudentFile> known = fresh.getIfPresent(student);
        if (known != null) {
            return known;
        }
        try {
            Optional<StudentFile> said = registrar.student(student);
            fresh.put(student, said);
            if (!said.equals(last.getIfPresent(student))) {
                said.ifPresent(this::note);
            }
            last.put(student, said);
            return said;
        } catch (RegistrarAwayException away) {
            Optional<StudentFile> before = last.getIfPresent(student);
            if (before == null) {
                throw away;
            }
            return before;
        }
    }

    /** Not what the lines say: a record is nobody's business. */
    private void note(StudentFile file) {
        int lines = file.unreadable(posted.get()).size();
        if (lines > 0) {
            LOG.warn("Of the registrar's record of {}, {} courses or grades are not understood", file.student(), lines);
        }
    }

    @Override
    public Optional<Registration> registration(String student) {
        Optional<Registration> known = registrations.getIfPresent(student);
        if (known != null) {
            return known;
        }
        Optional<Registration> said = registrar.registration(student);
        registrations.put(student, said);
        return said;
    }

    @Override
    public List<Submission> submissions(String student) {
        return registrar.submissions(student);
    }

    /** Whatever becomes of it: what the student had before is no longer sure. */
    @Override
    public Submission submit(String student, String id, List<Request> requests) {
        try {
            return registrar.submit(student, id, requests);
        } finally {
            registrations.invalidate(student);
        }
    }

    @Override
    public List<RoundStanding> rounds(String student) {
        return registrar.rounds(student);
    }

    @Override
    public RoundStanding wish(String student, String term, String round, List<String> groups) {
        return registrar.wish(student, term, round, groups);
    }

    @Override
    public Optional<RoundReport> round(String term, String round) {
        return registrar.round(term, round);
    }

    @Override
    public Optional<RoundFile> roundFile(String term, String round) {
        return registrar.roundFile(term, round);
    }

    @Override
    public RegistrarNews news(long after, Duration patience) {
        return registrar.news(after, patience);
    }
}
