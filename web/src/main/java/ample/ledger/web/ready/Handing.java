package ample.ledger.web.ready;

import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.Submission;
import ample.ledger.store.AskedSubmissions;
import ample.ledger.store.AskedSubmissions.Asked;
import io.micrometer.core.instrument.Metrics;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
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

    /** Before the number of a submission that is one of several. */
    private static final String PART = "_term-";

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
     * Hands requests over, those of each term as a submission of its own, in their order. All are kept before the first is sent; where one is not
     * answered, those after it wait: they may depend on it.
     *
     * @param id names them
     * @throws IllegalArgumentException where the registrar takes one for no submission
     */
    void hand(String student, String id, List<Request> requests) {
        List<Asked> all = new ArrayList<>();
        for (List<Request> some : byTerm(requests)) {
            all.add(new Asked(
                    student,
                    all.isEmpty() ? id : id + PART + (all.size() + 1),
                    json.writeValueAsString(some),
                    clock.instant()));
        }
        all.forEach(asked::put);
        for (Asked one : all) {
            if (trying(one).isEmpty()) {
                return;
            }
        }
    }

    private static List<List<Request>> byTerm(List<Request> requests) {
        List<List<Request>> parts = new ArrayList<>();
        String last = "";
        for (Request request : requests) {
            String term = request.set().get(0).term();
            if (!term.equals(last)) {
                parts.add(new ArrayList<>());
                last = term;
            }
            parts.get(parts.size() - 1).add(request);
        }
        return parts;
    }

    /** Whether a submission is that of the name, or the same name's for another term. */
    static boolean isOf(Submission submission, String id) {
        return submission.id().equals(id) || submission.id().startsWith(id + PART);
    }

    private Optional<Submission> trying(Asked one) {
        try {
            List<Request> requests = List.of(json.readValue(one.requests(), Request[].class));
            Submission answered = registrar.submit(one.student(), one.id(), requests);
            asked.remove(one.student(), one.id());
            answered.lines()
                    .forEach(line -> Metrics.counter(
                                    "ledger.requests",
                                    "answer",
                                    line.answer().outcome().code())
                            .increment());
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
            // Of one name the earlier term first: the later may depend on it.
            List<Asked> inOrder = asked.toTry(UNTRIED, MOST_AT_ONCE).stream()
                    .sorted(Comparator.comparing(Asked::id))
                    .toList();
            for (Asked one : inOrder) {
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
