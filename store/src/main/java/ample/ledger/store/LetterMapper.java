package ample.ledger.store;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The statements behind {@link Letters}. */
@Mapper
interface LetterMapper {

    record Row(String id, String owner, int tries) {}

    /** Whether nobody else gathers; where that is so, others are told from now on that somebody does, until the transaction ends. */
    @Select("SELECT pg_try_advisory_xact_lock(hashtextextended('letters', 0))")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    boolean alone();

    /** @return 1 where there was something to be told; 0 where there was not */
    @Insert("WITH mine AS (UPDATE notice SET letter_at = NULL, letter = #{id} WHERE letter_at <= #{now} AND owner ="
            + " (SELECT owner FROM notice WHERE letter_at <= #{now} ORDER BY letter_at, owner LIMIT 1) RETURNING owner)"
            + " INSERT INTO letter (id, owner) SELECT #{id}, owner FROM mine LIMIT 1")
    int gather(@Param("id") String id, @Param("now") Instant now);

    @Select("SELECT id, owner, tries FROM letter WHERE state = 'waiting' AND next_try <= clock_timestamp()"
            + " ORDER BY next_try LIMIT 1 FOR UPDATE SKIP LOCKED")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    Optional<Row> next();

    @Select("SELECT count(*) FROM letter WHERE state = 'waiting'")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    int waiting();

    @Select(NoticeMapper.COLUMNS + " WHERE letter = #{id} ORDER BY id")
    List<NoticeMapper.Row> notices(String id);

    @Update("UPDATE letter SET state = #{state} WHERE id = #{id}")
    void end(@Param("id") String id, @Param("state") String state);

    @Update("UPDATE letter SET tries = tries + 1, next_try = clock_timestamp() + make_interval(secs => #{seconds})"
            + " WHERE id = #{id}")
    void tryLater(@Param("id") String id, @Param("seconds") double seconds);

    @Update("UPDATE notice SET letter_at = NULL WHERE owner = #{owner} AND letter_at IS NOT NULL")
    void cancel(String owner);
}
