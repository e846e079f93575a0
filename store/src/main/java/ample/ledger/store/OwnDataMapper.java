package ample.ledger.store;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The statements behind {@link OwnData}. */
@Mapper
interface OwnDataMapper {

    String ROWS = "(SELECT coalesce(jsonb_agg(to_jsonb(own) - ARRAY['owner', 'token', 'student']), '[]') FROM ";

    @Select("SELECT jsonb_pretty(jsonb_build_object("
            + "'kept', (SELECT content FROM visitor WHERE owner = #{owner}),"
            + " 'shown to others', " + ROWS + "plan_share AS own WHERE owner = #{owner}),"
            + " 'said by the registrar', " + ROWS + "person AS own WHERE owner = #{owner}),"
            + " 'notices', " + ROWS + "notice AS own WHERE owner = #{owner}),"
            + " 'letters', " + ROWS + "letter AS own WHERE owner = #{owner}),"
            + " 'private addresses', " + ROWS + "private_address AS own WHERE owner = #{owner}),"
            + " 'not answered yet', " + ROWS + "submission_asked AS own WHERE student = #{student})))")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    String all(@Param("owner") String owner, @Param("student") String student);

    /** Students who have neither signed in nor changed anything for so long. */
    @Select("SELECT owner FROM (SELECT owner, changed_at AS seen_at FROM visitor WHERE owner LIKE 'student:%'"
            + " UNION ALL SELECT owner, signed_in_at FROM person) AS seen"
            + " GROUP BY owner HAVING max(seen_at) < now() - make_interval(secs => #{seconds})")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    List<String> notSeenFor(long seconds);

    /** What is shown to others goes with it. */
    @Delete("DELETE FROM visitor WHERE owner = #{owner}")
    void deleteVisitor(String owner);

    @Delete("DELETE FROM concern WHERE owner = #{owner}")
    void deleteConcerns(String owner);

    @Delete("DELETE FROM person WHERE owner = #{owner}")
    void deletePerson(String owner);

    @Delete("DELETE FROM notice WHERE owner = #{owner}")
    void deleteNotices(String owner);

    @Delete("DELETE FROM letter WHERE owner = #{owner}")
    void deleteLetters(String owner);

    @Delete("DELETE FROM private_address WHERE owner = #{owner}")
    void deleteAddresses(String owner);
}
