package ample.ledger.web.ready;

import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.Submission;
import ample.ledger.store.AskedSubmissions;
import ample.ledger.store.AskedSubmissions.Asked;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Hands submissions to the registrar. Each is kept here before it is sent and until it is answered, so that one whose answer was not heard is asked again,
 * by whatever instance runs then. A submission has a name: asked twice it is decided once.
 */
@Component
class Handing {

    private static final Logger LOG = LoggerFactory.getLogger(Handing.class);
    private static final Duration UNTRIED = Duration.ofSeconds(4);
    private static final int MOST_AT_ONCE = 50;

    private final Registrar registrar;
    private final AskedSubmissions asked;
    private final JsonMapper json;
    private final Clock clock;

    Handing(Registrar registrar, AskedSubmissions asked, JsonMapper json, Clock clock) {
        this.registrar = registrar;
        this.asked = asked;
        this.json = json;
        this.clock = clock;
    }

    /**
     * Hands a submission over.
     *
     * @return what the registrar answered; empty where no answer was heard: it is asked again
     * @throws IllegalArgumentException where the registrar takes it for no submission
     */
    Optional<Submission> hand(String student, String id, List<Request> requests) {
        Asked one = new Asked(student, id, json.writeValueAsString(requests), clock.instant());
        asked.put(one);
        return trying(one);
    }

    private Optional<Submission> trying(Asked one) {
        try {
            List<Request> requests = List.of(json.readValue(one.requests(), Request[].class));
            Submission answered = registrar.submit(one.student(), one.id(), requests);
            asked.remove(one.student(), one.id());
            return Optional.of(answered);
        } catch (IllegalArgumentException wrong) {
            asked.remove(one.student(), one.id());
            throw wrong;
        } catch (RegistrarAwayException away) {
            return Optional.empty();
        }
    }

    /** What a student has handed over and is not answered yet. */
    List<Asked> unanswered(String student) {
        return asked.of(student);
    }

    /** Asks again what was not answered. */
    void again() {
        try {
            for (Asked one : asked.toTry(UNTRIED, MOST_AT_ONCE)) {
                if (trying(one).isEmpty()) {
                    return;
                }
                LOG.info("A submission is answered that was not at first");
            }
        } catch (IllegalArgumentException wrong) {
            LOG.warn("The registrar took a submission for none", wrong);
        } catch (DataAccessException | TransactionException away) {
            LOG.debug("Submissions are asked again another time: {}", away.getMessage());
        }
    }
}
