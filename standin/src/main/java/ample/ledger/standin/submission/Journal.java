package ample.ledger.standin.submission;

import ample.ledger.core.registrar.rules.Fact;
import ample.ledger.core.registrar.rules.Fact.Kind;
import ample.ledger.core.registrar.rules.Pool;
import ample.ledger.core.registrar.rules.PoolName;
import ample.ledger.standin.submission.JournalMapper.Begun;
import ample.ledger.standin.submission.JournalMapper.JournalRow;
import ample.ledger.standin.submission.JournalMapper.SubmissionRow;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** All that has happened and all that was answered, as the database keeps it, with what can be made again from that beside it. */
@Component
class Journal {

    private final JournalMapper mapper;
    private final Registrants registrants;

    Journal(JournalMapper mapper, Registrants registrants) {
        this.mapper = mapper;
        this.registrants = registrants;
    }

    /**
     * What a round of decisions begins with.
     *
     * @param last the number of the last fact
     * @param answered those of its submissions that are answered already, by {@link #key}
     */
    record Beginning(long last, Map<String, SubmissionRow> answered) {}

    /**
     * Waits until nobody else decides, and keeps all others waiting until this transaction ends.
     *
     * @param students whose submissions are to be decided
     * @param ids the names of these, in the same order
     */
    Beginning begin(List<String> students, List<String> ids) {
        List<Begun> rows = mapper.begin(students.toArray(String[]::new), ids.toArray(String[]::new));
        return new Beginning(
                rows.get(0).last(),
                rows.stream()
                        .flatMap(row -> row.answeredAlready().stream())
                        .collect(
                                Collectors.toMap(row -> key(row.student(), row.id()), row -> row, (one, same) -> one)));
    }

    List<JournalRow> all() {
        return mapper.after(0);
    }

    List<SubmissionRow> ofStudent(String student) {
        return mapper.ofStudent(student);
    }

    static String key(String student, String id) {
        return student + " " + id;
    }

    /**
     * Keeps what was decided together.
     *
     * @param pools how a pool stands after it
     */
    void keep(List<SubmissionRow> submissions, JournalRows rows, Instant now, Function<PoolName, Pool> pools) {
        if (submissions.isEmpty() && rows.facts().isEmpty()) {
            return;
        }
        // Of one section that a student had, gave up and has again within one commit, only the last word counts.
        Map<String, Fact> last = new LinkedHashMap<>();
        rows.facts().stream()
                .filter(fact -> fact.kind() == Kind.REGISTERED || fact.kind() == Kind.DROPPED)
                .filter(fact -> registrants.of(fact.student()).isPresent())
                .forEach(fact -> last.put(fact.student() + " " + fact.part(), fact));
        Map<PoolName, Pool> changed = new LinkedHashMap<>();
        rows.facts().stream().map(Fact::poolName).forEach(name -> changed.computeIfAbsent(name, pools));
        mapper.keep(
                new SubmissionRows(submissions),
                rows,
                PartRows.of(last.values(), Kind.DROPPED),
                PartRows.of(last.values(), Kind.REGISTERED),
                new SeatRows(changed),
                now);
    }
}
