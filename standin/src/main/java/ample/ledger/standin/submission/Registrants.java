package ample.ledger.standin.submission;

import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.registrar.rules.Registrant;
import ample.ledger.standin.people.People;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** Students as the rules know them. What is on file here does not change, and is worked out once. */
@Component
class Registrants {

    private final People people;
    private final PostedSchedules posted;
    private final Map<String, Optional<Registrant>> known = new ConcurrentHashMap<>();

    Registrants(People people, PostedSchedules posted) {
        this.people = people;
        this.posted = posted;
    }

    /** Empty for whoever is no student here. */
    Optional<Registrant> of(String student) {
        Optional<Registrant> before = known.get(student);
        if (before != null) {
            return before;
        }
        Optional<Registrant> now = people.file(student).map(file -> Registrant.of(file, posted));
        // Names that nobody has are without end.
        now.ifPresent(registrant -> known.put(student, now));
        return now;
    }
}
