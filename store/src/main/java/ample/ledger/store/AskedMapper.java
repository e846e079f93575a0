package ample.ledger.store;

import ample.ledger.store.AskedSubmissions.Asked;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The statements behind {@link AskedSubmissions}. */
@Mapper
interface AskedMapper {

    @Insert("INSERT INTO submission_asked (student, id, requests, asked_at)"
            + " VALUES (#{student}, #{id}, #{requests}, #{askedAt}) ON CONFLICT DO NOTHING")
    void put(Asked asked);

    @Delete("DELETE FROM submission_asked WHERE student = #{student} AND id = #{id}")
    void remove(@Param("student") String student, @Param("id") String id);

    @Select("SELECT student, id, requests, asked_at AS askedAt FROM submission_asked WHERE student = #{student}"
            + " ORDER BY asked_at")
    List<Asked> of(String student);

    /** Those that nobody has tried for some seconds; they count as tried now. Rows that another instance has taken are passed over. */
    @Select("UPDATE submission_asked SET tried_at = clock_timestamp() WHERE (student, id) IN"
            + " (SELECT student, id FROM submission_asked"
            + " WHERE tried_at < clock_timestamp() - make_interval(secs => #{seconds})"
            + " ORDER BY tried_at LIMIT #{most} FOR UPDATE SKIP LOCKED)"
            + " RETURNING student, id, requests, asked_at AS askedAt")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    List<Asked> takeOlderThan(@Param("seconds") double seconds, @Param("most") int most);
}
