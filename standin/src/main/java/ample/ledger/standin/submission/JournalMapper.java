package ample.ledger.standin.submission;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** The journal, and what is kept beside it. Many rows are written by one statement each, as arrays. */
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

    /** Whoever decides next, here or in another program on this database, waits until this transaction ends. */
    @Select(
            "SELECT coalesce(max(number), 0) FROM (SELECT pg_advisory_xact_lock(hashtextextended('journal', 0))) AS alone"
                    + " LEFT JOIN LATERAL (SELECT max(number) AS number FROM journal) AS last ON true")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    long alone();

    @Select(
            "SELECT number, at, submission, kind, student, term, entry, pool, held_for AS heldFor, wanted, until FROM journal"
                    + " WHERE number > #{number} ORDER BY number")
    List<JournalRow> after(long number);

    @Insert("INSERT INTO journal (number, at, submission, kind, student, term, entry, pool, held_for, wanted, until)"
            + " SELECT number, #{at}, submission, kind, student, term, entry, pool, held_for, wanted, until::timestamptz"
            + " FROM unnest(#{rows.numbers" + ARRAY + ", #{rows.submissions" + ARRAY + ", #{rows.kinds" + ARRAY
            + ", #{rows.students" + ARRAY + ", #{rows.terms" + ARRAY + ", #{rows.entries" + ARRAY + ", #{rows.pools"
            + ARRAY
            + ", #{rows.heldFors" + ARRAY + ", #{rows.wanteds" + ARRAY + ", #{rows.untils" + ARRAY
            + ") AS rows (number, submission, kind, student, term, entry, pool, held_for, wanted, until)")
    void add(@Param("rows") JournalRows rows, @Param("at") Instant at);

    @Select("SELECT student, id, at, asked, answered FROM submission"
            + " WHERE (student, id) IN (SELECT student, id FROM unnest(#{students" + ARRAY + ", #{ids" + ARRAY
            + ") AS wanted (student, id))")
    List<SubmissionRow> answered(@Param("students") String[] students, @Param("ids") String[] ids);

    /** The latest first. */
    @Select("SELECT student, id, at, asked, answered FROM submission WHERE student = #{student} ORDER BY at DESC, id")
    List<SubmissionRow> ofStudent(String student);

    @Insert("INSERT INTO submission (student, id, at, asked, answered)"
            + " SELECT student, id, #{at}, asked, answered FROM unnest(#{students" + ARRAY + ", #{ids" + ARRAY
            + ", #{asked" + ARRAY + ", #{answered" + ARRAY + ") AS rows (student, id, asked, answered)")
    void keep(
            @Param("students") String[] students,
            @Param("ids") String[] ids,
            @Param("asked") String[] asked,
            @Param("answered") String[] answered,
            @Param("at") Instant at);

    @Insert("INSERT INTO registered (term, entry, student) SELECT term, entry, student FROM unnest(#{terms" + ARRAY
            + ", #{entries" + ARRAY + ", #{students" + ARRAY + ") AS rows (term, entry, student)"
            + " ON CONFLICT DO NOTHING")
    void register(
            @Param("terms") String[] terms, @Param("entries") String[] entries, @Param("students") String[] students);

    @Update("DELETE FROM registered USING unnest(#{terms" + ARRAY + ", #{entries" + ARRAY + ", #{students" + ARRAY
            + ") AS gone (term, entry, student) WHERE registered.term = gone.term AND registered.entry = gone.entry"
            + " AND registered.student = gone.student")
    void remove(
            @Param("terms") String[] terms, @Param("entries") String[] entries, @Param("students") String[] students);

    /** All of them as one change. */
    @Insert("INSERT INTO seats (term, pool, enrolled, waiting, promised, claimed, most, at, change)"
            + " SELECT term, pool, enrolled, waiting, promised, claimed::integer[], most, #{at}, (SELECT nextval('change'))"
            + " FROM unnest(#{rows.terms" + ARRAY + ", #{rows.pools" + ARRAY + ", #{rows.enrolled" + ARRAY
            + ", #{rows.waiting" + ARRAY + ", #{rows.promised" + ARRAY + ", #{rows.claimed" + ARRAY + ", #{rows.most"
            + ARRAY
            + ") AS rows (term, pool, enrolled, waiting, promised, claimed, most)"
            + " ON CONFLICT (term, pool) DO UPDATE SET enrolled = EXCLUDED.enrolled, waiting = EXCLUDED.waiting,"
            + " promised = EXCLUDED.promised, claimed = EXCLUDED.claimed, at = EXCLUDED.at, change = EXCLUDED.change")
    void seats(@Param("rows") SeatRows rows, @Param("at") Instant at);
}
