package ample.ledger.store;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/**
 * The statements behind {@link Visitors}. How long something is kept is told by the database's clock, which all instances of
 * the application share.
 */
@Mapper
interface VisitorMapper {

    /**
     * A document.
     *
     * @param due whether it must be noted that the guest has come
     * @param unseen a line for each notice that a student has not seen: its term and what it is about
     */
    record Row(String content, boolean due, String unseen) {}

    record Several(String owner, String content) {}

    @Select("SELECT content::text AS content,"
            + " coalesce(NOT came_back OR expires_at < now() + make_interval(secs => #{seconds}), false) AS due,"
            + " CASE WHEN expires_at IS NULL THEN coalesce((SELECT string_agg(term || ' ' || about, E'\\n')"
            + " FROM notice WHERE notice.owner = visitor.owner AND seen_at IS NULL), '') ELSE '' END AS unseen"
            + " FROM visitor WHERE owner = #{owner} AND (expires_at IS NULL OR expires_at > now())")
    Optional<Row> find(@Param("owner") String owner, @Param("seconds") long seconds);

    @Select("SELECT owner, content::text AS content FROM visitor WHERE owner = ANY(#{owners" + ConcernMapper.ARRAY
            + ")")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    List<Several> several(String[] owners);

    @Update("UPDATE visitor SET came_back = true, expires_at = now() + make_interval(secs => #{seconds})"
            + " WHERE owner = #{owner} AND expires_at IS NOT NULL")
    void comeBack(@Param("owner") String owner, @Param("seconds") long seconds);

    @Select("SELECT came_back FROM visitor WHERE owner = #{owner}")
    Optional<Boolean> cameBack(String owner);

    /** @return 1 where there was no document yet */
    @Insert("INSERT INTO visitor (owner, version, content, changed_at, came_back, expires_at)"
            + " VALUES (#{owner}, 0, '{}', now(), #{seconds,jdbcType=BIGINT}::bigint IS NULL,"
            + " now() + make_interval(secs => #{seconds,jdbcType=BIGINT}::bigint))"
            + " ON CONFLICT (owner) DO NOTHING")
    int begin(@Param("owner") String owner, @Param("seconds") @Nullable Long seconds);

    /** The document, which nobody else changes from now until the transaction ends. */
    @Select("SELECT content::text FROM visitor WHERE owner = #{owner} FOR UPDATE")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    String lock(String owner);

    @Update("UPDATE visitor SET version = version + 1, content = #{content}::jsonb, changed_at = now()"
            + " WHERE owner = #{owner}")
    void update(@Param("owner") String owner, @Param("content") String content);

    @Delete("DELETE FROM visitor WHERE owner = #{owner}")
    void delete(String owner);

    @Delete("DELETE FROM visitor WHERE expires_at < now()")
    int deleteExpired();
}
