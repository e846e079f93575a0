package ample.ledger.store;

import ample.ledger.core.schedule.TermCode;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The statements behind {@link Concerns}. */
@Mapper
interface ConcernMapper {

    String ARRAY = ",typeHandler=org.apache.ibatis.type.ArrayTypeHandler}";

    /** What is there already stays as it is, unless it is for another number of seats. */
    @Update(
            "WITH wanted AS (SELECT * FROM unnest(#{terms" + ARRAY + ", #{abouts" + ARRAY + ", #{seats" + ARRAY
                    + ") AS rows (term, about, seats)),"
                    + " gone AS (DELETE FROM concern USING (SELECT 1) AS one WHERE owner = #{owner} AND source = #{source}"
                    + " AND (term, about) NOT IN (SELECT term, about FROM wanted))"
                    + " INSERT INTO concern (owner, source, term, about, seats)"
                    + " SELECT #{owner}, #{source}, term, about, seats FROM wanted"
                    + " ON CONFLICT (owner, source, term, about) DO UPDATE"
                    + " SET seats = EXCLUDED.seats, seats_open = false, seats_change = -1 WHERE concern.seats <> EXCLUDED.seats")
    void replace(
            @Param("owner") String owner,
            @Param("source") String source,
            @Param("terms") String[] terms,
            @Param("abouts") String[] abouts,
            @Param("seats") Integer[] seats);

    /** In the order of their names. */
    @Select("SELECT DISTINCT owner FROM concern WHERE term = #{term} AND about = ANY(#{abouts" + ARRAY
            + ") AND owner > #{after} ORDER BY owner LIMIT #{most}")
    List<String> owners(
            @Param("term") TermCode term,
            @Param("abouts") String[] abouts,
            @Param("after") String after,
            @Param("most") int most);

    String WAITS = "SELECT owner, term, about, seats FROM concern WHERE source = 'kept' AND seats > 0";

    @Select(WAITS + " AND term = #{term} AND about = ANY(#{abouts" + ARRAY + ")")
    List<Concerns.SeatWait> seatWaits(@Param("term") TermCode term, @Param("abouts") String[] abouts);

    @Update("UPDATE concern SET seats_change = -1 WHERE owner = #{owner} AND source = 'kept' AND seats > 0")
    void lookAgain(String owner);

    @Select(WAITS + " AND seats_change < 0 LIMIT #{most}")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    List<Concerns.SeatWait> newSeatWaits(int most);

    @Select(WAITS)
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    List<Concerns.SeatWait> allSeatWaits();

    /** @return whether seats have opened that were not open at the look before; empty where somebody has looked at a later change */
    @Select(
            "UPDATE concern SET seats_open = #{open}, seats_change = #{change} FROM (SELECT ctid AS at, seats_open AS was FROM concern"
                    + " WHERE owner = #{wait.owner} AND source = 'kept' AND term = #{wait.term} AND about = #{wait.about}"
                    + " AND seats = #{wait.seats} AND seats_change <= #{change} FOR UPDATE) AS before"
                    + " WHERE concern.ctid = before.at RETURNING #{open} AND NOT before.was")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    Optional<Boolean> look(
            @Param("wait") Concerns.SeatWait wait, @Param("open") boolean open, @Param("change") long change);
}
