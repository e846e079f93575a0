package ample.ledger.web.registrar;

import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import ample.ledger.core.registrar.RegistrarNews;
import ample.ledger.core.registrar.StudentFile;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/** Where no registrar is set up: it knows nobody, and tells nothing. */
final class NoRegistrar implements Registrar {

    @Override
    public Optional<StudentFile> student(String student) {
        return Optional.empty();
    }

    @Override
    public RegistrarNews news(long after, Duration patience) {
        throw new RegistrarAwayException(Instant.EPOCH, new IllegalStateException("No registrar is set up"));
    }
}
