package ample.ledger.standin.submission;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** The journal, and what is kept beside it. Many rows go into one statement, column by column, as arrays. */
@Mapper
interface JournalMapper {

    String ARRAY = ",typeHandler=org.apache.ibatis.type.ArrayTypeHandler}";

    /** A row of the journal; moments as text. */
    record JournalRow(
            long number,
            Instant at,
            String submission,
            String kind,
            String student,
            String term,
            String entry,
            String pool,
            String heldFor,
            String wanted,
            @Nullable Instant until) {}

    /** A row of what was asked and answered. */
    record SubmissionRow(String student, String id, Instant at, String asked, String answered) {}

    /**
     * What a round of decisions begins with.
     *
     * @param last the number of the last fact; 0 where there is none
     * @param student of a submission that is answered already, and so the rest; null where none is
     */
    record Begun(
            long last,
            @Nullable String student,
            @Nullable String id,
            @Nullable Instant at,
            @Nullable String asked,
            @Nullable String answered) {

        Optional<SubmissionRow> answeredAlready() {
            return student == null
                    ? Optional.empty()
                    : Optional.of(new SubmissionRow(
                            student,
                            Objects.requireNonNull(id),
                            Objects.requireNonNull(at),
                            Objects.requireNonNull(asked),
                            Objects.requireNonNull(answered)));
        }
    }

    /**
     * Begins a round. Whoever decides next, here or in another program on this database, waits until this transaction ends.
     *
     * @return one row for each of the submissions that is answered already, and one where none is
     */
    @Select("SELECT last.number AS last, before.student, before.id, before.at, before.asked, before.answered"
            + " FROM (SELECT pg_advisory_xact_lock(hashtextextended('journal', 0))) AS alone"
            + " CROSS JOIN LATERAL (SELECT coalesce(max(number), 0) AS number FROM journal) AS last"
            + " LEFT JOIN (SELECT submission.* FROM unnest(#{students" + ARRAY + ", #{ids" + ARRAY
            + ") AS wanted (student, id) JOIN submission USING (student, id)) AS before ON true")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    List<Begun> begin(@Param("students") String[] students, @Param("ids") String[] ids);

    @Select(
            "SELECT number, at, submission, kind, student, term, entry, pool, held_for AS heldFor, wanted, until FROM journal"
                    + " WHERE number > #{number} ORDER BY number")
    List<JournalRow> after(long number);

    /** The latest first. */
    @Select("SELECT student, id, at, asked, answered FROM submission WHERE student = #{student} ORDER BY at DESC, id")
    List<SubmissionRow> ofStudent(String student);

    /**
     * All that was decided together, by one statement: each trip to the database takes as long as deciding some requests.
     *
     * @param submissions what was asked and answered
     * @param facts what has happened
     * @param gone who is no longer registered in what
     * @param had who is now registered in what; none of it in {@code gone}
     * @param seats how the pools stand that have changed, which counts as one change
     */
    @Insert("WITH one AS MATERIALIZED (SELECT nextval('change') AS change),"
            + " kept AS (INSERT INTO submission (student, id, at, asked, answered)"
            + " SELECT student, id, #{at}, asked, answered FROM unnest(#{submissions.students" + ARRAY
            + ", #{submissions.ids" + ARRAY + ", #{submissions.asked" + ARRAY + ", #{submissions.answered" + ARRAY
            + ") AS rows (student, id, asked, answered)),"
            + " happened AS (INSERT INTO journal"
            + " (number, at, submission, kind, student, term, entry, pool, held_for, wanted, until)"
            + " SELECT number, #{at}, submission, kind, student, term, entry, pool, held_for, wanted, until::timestamptz"
            + " FROM unnest(#{facts.numbers" + ARRAY + ", #{facts.submissions" + ARRAY + ", #{facts.kinds" + ARRAY
            + ", #{facts.students" + ARRAY + ", #{facts.terms" + ARRAY + ", #{facts.entries" + ARRAY + ", #{facts.pools"
            + ARRAY + ", #{facts.heldFors" + ARRAY + ", #{facts.wanteds" + ARRAY + ", #{facts.untils" + ARRAY
            + ") AS rows (number, submission, kind, student, term, entry, pool, held_for, wanted, until)),"
            + " dropped AS (DELETE FROM registered USING unnest(#{gone.terms" + ARRAY + ", #{gone.entries" + ARRAY
            + ", #{gone.students" + ARRAY + ") AS gone (term, entry, student) WHERE registered.term = gone.term"
            + " AND registered.entry = gone.entry AND registered.student = gone.student),"
            + " come AS (INSERT INTO registered (term, entry, student) SELECT term, entry, student"
            + " FROM unnest(#{had.terms" + ARRAY + ", #{had.entries" + ARRAY + ", #{had.students" + ARRAY
            + ") AS rows (term, entry, student) ON CONFLICT DO NOTHING),"
            + " theirs AS (INSERT INTO student_change (student, change)"
            + " SELECT DISTINCT student, one.change FROM unnest(#{facts.students" + ARRAY
            + ") AS rows (student), one WHERE student <> '' ON CONFLICT (student) DO UPDATE SET change = EXCLUDED.change)"
            + " INSERT INTO seats (term, pool, enrolled, waiting, promised, claimed, most, at, change)"
            + " SELECT term, pool, enrolled, waiting, promised, claimed::integer[], most, #{at},"
            + " (SELECT change FROM one) FROM unnest(#{seats.terms" + ARRAY + ", #{seats.pools" + ARRAY
            + ", #{seats.enrolled" + ARRAY + ", #{seats.waiting" + ARRAY + ", #{seats.promised" + ARRAY
            + ", #{seats.claimed" + ARRAY + ", #{seats.most" + ARRAY
            + ") AS rows (term, pool, enrolled, waiting, promised, claimed, most)"
            + " ON CONFLICT (term, pool) DO UPDATE SET enrolled = EXCLUDED.enrolled, waiting = EXCLUDED.waiting,"
            + " promised = EXCLUDED.promised, claimed = EXCLUDED.claimed, at = EXCLUDED.at, change = EXCLUDED.change")
    void keep(
            @Param("submissions") SubmissionRows submissions,
            @Param("facts") JournalRows facts,
            @Param("gone") PartRows gone,
            @Param("had") PartRows had,
            @Param("seats") SeatRows seats,
            @Param("at") Instant at);
}
