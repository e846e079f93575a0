package ample.ledger.standin.wishes;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** What is kept of wish rounds. */
@Mapper
interface WishMapper {

    /** The last word of a student; groups with blanks between them, empty for none. */
    record WishRow(String student, Instant at, String groups) {}

    /** How the places of a round were distributed. */
    record ResultRow(String term, String round, long after, String file) {}

    @Insert("INSERT INTO round_seed (term, round, seed) VALUES (#{term}, #{round}, #{seed}) ON CONFLICT DO NOTHING")
    void offerSeed(@Param("term") String term, @Param("round") String round, @Param("seed") String seed);

    @Select("SELECT seed FROM round_seed WHERE term = #{term} AND round = #{round}")
    String seed(@Param("term") String term, @Param("round") String round);

    @Insert("INSERT INTO wish (at, term, round, student, groups)"
            + " VALUES (#{at}, #{term}, #{round}, #{student}, #{groups})")
    void add(
            @Param("at") Instant at,
            @Param("term") String term,
            @Param("round") String round,
            @Param("student") String student,
            @Param("groups") String groups);

    /** The last word of everybody who has said one, by student. */
    @Select("SELECT DISTINCT ON (student) student, at, groups FROM wish WHERE term = #{term} AND round = #{round}"
            + " ORDER BY student, number DESC")
    List<WishRow> last(@Param("term") String term, @Param("round") String round);

    @Select("SELECT student, at, groups FROM wish WHERE term = #{term} AND round = #{round} AND student = #{student}"
            + " ORDER BY number DESC LIMIT 1")
    @Nullable WishRow lastOf(@Param("term") String term, @Param("round") String round, @Param("student") String student);

    @Select("SELECT count(*) FROM wish WHERE term = #{term} AND round = #{round}")
    long words(@Param("term") String term, @Param("round") String round);

    @Insert("INSERT INTO round_result (term, round, at, after, file)"
            + " VALUES (#{term}, #{round}, #{at}, #{after}, #{file})")
    void decide(
            @Param("term") String term,
            @Param("round") String round,
            @Param("at") Instant at,
            @Param("after") long after,
            @Param("file") String file);

    @Select("SELECT term, round, after, file FROM round_result ORDER BY after, term, round")
    List<ResultRow> results();

    @Select("SELECT EXISTS (SELECT 1 FROM round_result WHERE term = #{term} AND round = #{round})")
    boolean isDecided(@Param("term") String term, @Param("round") String round);

    /** All of these students hear that something of theirs has changed, as one change. */
    @Insert("WITH one AS MATERIALIZED (SELECT nextval('change') AS change)"
            + " INSERT INTO student_change (student, change) SELECT student, one.change"
            + " FROM unnest(#{students,typeHandler=org.apache.ibatis.type.ArrayTypeHandler}) AS rows (student), one"
            + " ON CONFLICT (student) DO UPDATE SET change = EXCLUDED.change")
    void changed(@Param("students") String[] students);
}
