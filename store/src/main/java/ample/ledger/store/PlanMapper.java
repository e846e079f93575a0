package ample.ledger.store;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The statements behind {@link Plans}. */
@Mapper
interface PlanMapper {

    String SHARES =
            "SELECT token, owner, purpose, season, plan_id AS \"planId\", content::text AS content FROM plan_share";

    @Select("SELECT version, content::text AS content FROM plan_book WHERE student = #{student}")
    Optional<Plans.Book> book(String student);

    @Insert("INSERT INTO plan_book (student, version, content, changed_at)"
            + " VALUES (#{student}, #{version}, #{content}::jsonb, #{now}) ON CONFLICT (student) DO NOTHING")
    int insertBook(
            @Param("student") String student,
            @Param("version") long version,
            @Param("content") String content,
            @Param("now") Instant now);

    @Update("UPDATE plan_book SET version = #{version}, content = #{content}::jsonb, changed_at = #{now}"
            + " WHERE student = #{student} AND version = #{before}")
    int updateBook(
            @Param("student") String student,
            @Param("before") long before,
            @Param("version") long version,
            @Param("content") String content,
            @Param("now") Instant now);

    @Insert("INSERT INTO plan_share (token, owner, purpose, season, plan_id, content, created_at)"
            + " VALUES (#{share.token}, #{share.owner}, #{share.purpose}, #{share.season}, #{share.planId},"
            + " #{share.content}::jsonb, #{now})")
    void insertShare(@Param("share") Plans.Share share, @Param("now") Instant now);

    @Delete("DELETE FROM plan_share WHERE created_at < #{moment}")
    void deleteSharesBefore(Instant moment);

    @Update("UPDATE plan_share SET content = #{content}::jsonb"
            + " WHERE owner = #{owner} AND season = #{season} AND plan_id = #{planId}")
    void updateShares(
            @Param("owner") String owner,
            @Param("season") String season,
            @Param("planId") String planId,
            @Param("content") String content);

    @Delete("DELETE FROM plan_share WHERE owner = #{owner} AND token = #{token}")
    void deleteShare(@Param("owner") String owner, @Param("token") String token);

    @Select(SHARES + " WHERE token = #{token}")
    Optional<Plans.Share> share(String token);

    @Select(SHARES + " WHERE owner = #{owner} ORDER BY created_at")
    List<Plans.Share> sharesOf(String owner);

    @Update("UPDATE plan_share SET owner = #{after} WHERE owner = #{before}")
    void changeOwner(@Param("before") String before, @Param("after") String after);
}
