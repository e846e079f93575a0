package ample.ledger.store;

import ample.ledger.core.schedule.SeasonCode;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The statements behind {@link Shares}. */
@Mapper
interface ShareMapper {

    String SHARES = "SELECT token, owner, purpose, season, plan_id AS \"planId\", with_notes AS \"withNotes\","
            + " with_record AS \"withRecord\","
            + " content::text AS content FROM plan_share";

    @Insert(
            "INSERT INTO plan_share (token, owner, purpose, season, plan_id, with_notes, with_record, content, created_at)"
                    + " VALUES (#{share.token}, #{share.owner}, #{share.purpose}, #{share.season}, #{share.planId},"
                    + " #{share.withNotes}, #{share.withRecord}, #{share.content}::jsonb, #{now})")
    void insert(@Param("share") Shares.Share share, @Param("now") Instant now);

    @Delete("DELETE FROM plan_share WHERE created_at < #{moment}")
    void deleteBefore(Instant moment);

    @Update("UPDATE plan_share SET content ="
            + " CASE WHEN with_notes THEN #{withNotes}::jsonb ELSE #{withoutNotes}::jsonb END"
            + " WHERE owner = #{owner} AND season = #{season} AND plan_id = #{planId}")
    void update(
            @Param("owner") String owner,
            @Param("season") SeasonCode season,
            @Param("planId") String planId,
            @Param("withNotes") String withNotes,
            @Param("withoutNotes") String withoutNotes);

    @Delete("DELETE FROM plan_share WHERE owner = #{owner} AND token = #{token}")
    void delete(@Param("owner") String owner, @Param("token") String token);

    @Select(SHARES + " WHERE token = #{token}")
    Optional<Shares.Share> find(String token);

    @Select(SHARES + " WHERE owner = #{owner} ORDER BY created_at")
    List<Shares.Share> of(String owner);

    @Update("UPDATE plan_share SET owner = #{after} WHERE owner = #{before}")
    void changeOwner(@Param("before") String before, @Param("after") String after);
}
