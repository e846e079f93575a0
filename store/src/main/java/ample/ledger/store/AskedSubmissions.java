package ample.ledger.store;

import java.time.Duration;
import java.time.Instant;
import java.util.List;

/** What students have handed over to the registrar and is not answered yet. What a request is, it does not know. */
public class AskedSubmissions {

    private final AskedMapper mapper;

    AskedSubmissions(AskedMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * One of them.
     *
     * @param id its name among those of the student
     * @param requests as JSON
     * @param askedAt when the student handed it over
     */
    public record Asked(String student, String id, String requests, Instant askedAt) {}

    /** Keeps it until it is answered; nothing happens where it is kept already. */
    public void put(Asked asked) {
        mapper.put(asked);
    }

    /** It is answered. */
    public void remove(String student, String id) {
        mapper.remove(student, id);
    }

    /** Those of a student, the oldest first. */
    public List<Asked> of(String student) {
        return mapper.of(student);
    }

    /** Some that nobody has tried for so long, for the caller to try: nobody else gets them within that time. */
    public List<Asked> toTry(Duration untried, int most) {
        return mapper.takeOlderThan(untried.toMillis() / 1000.0, most);
    }
}
