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
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Where no registrar is set up: it knows nobody, and tells nothing. */
final class NoRegistrar implements Registrar {

    @Override
    public Optional<StudentFile> student(String student) {
        return Optional.empty();
    }

    @Override
    public Optional<Registration> registration(String student) {
        return Optional.empty();
    }

    @Override
    public List<Submission> submissions(String student) {
        return List.of();
    }

    @Override
    public Submission submit(String student, String id, List<Request> requests) {
        throw away();
    }

    @Override
    public List<RoundStanding> rounds(String student) {
        return List.of();
    }

    @Override
    public RoundStanding wish(String student, String term, String round, List<String> groups) {
        throw away();
    }

    @Override
    public Optional<RoundReport> round(String term, String round) {
        return Optional.empty();
    }

    @Override
    public Optional<RoundFile> roundFile(String term, String round) {
        return Optional.empty();
    }

    @Override
    public RegistrarNews news(long after, Duration patience) {
        throw away();
    }

    private static RegistrarAwayException away() {
        return new RegistrarAwayException(Instant.EPOCH, new IllegalStateException("No registrar is set up"));
    }
}
