package ample.ledger.web.registrar;

import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import ample.ledger.core.registrar.RegistrarNews;
import ample.ledger.core.registrar.StudentFile;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Optional;

/**
 * Asks the registrar about one student once in a short while, however many pages want to know. While it does not answer, what it said
 * last stands, with its moment.
 */
final class RememberedStudents implements Registrar {

    private static final int MOST = 20_000;
    private static final Duration LONGEST = Duration.ofHours(1);

    private final Registrar registrar;
    private final Cache<String, Optional<StudentFile>> fresh;
    private final Cache<String, Optional<StudentFile>> last =
            Caffeine.newBuilder().expireAfterWrite(LONGEST).maximumSize(MOST).build();

    RememberedStudents(Registrar registrar, Duration fresh) {
        this.registrar = registrar;
        this.fresh =
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

    @Override
    public RegistrarNews news(long after, Duration patience) {
        return registrar.news(after, patience);
    }
}
