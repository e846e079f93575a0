package ample.ledger.store;

import ample.ledger.core.registrar.SeatWord;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.TermCode;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The statements behind {@link SeatWords}. */
@Mapper
interface SeatWordMapper {

    /** A row of the table. */
    record Row(
            TermCode term,
            String pool,
            int enrolled,
            int waiting,
            int promised,
            Integer[] claimed,
            Instant at,
            long change) {

        static Row of(SeatWord word, long change) {
            SeatPool.Count count = word.count();
            return new Row(
                    word.term(),
                    word.pool(),
                    count.enrolled(),
                    count.waiting(),
                    count.promised(),
                    count.claimed().toArray(Integer[]::new),
                    word.at(),
                    change);
        }

        SeatWord word() {
            return new SeatWord(
                    term, pool, new SeatPool.Count(enrolled, waiting, promised, Arrays.asList(claimed)), at);
        }
    }

    @Insert({
        "<script>",
        "INSERT INTO seat_word (term, pool, enrolled, waiting, promised, claimed, at, change) VALUES",
        "<foreach collection='rows' item='row' separator=','>",
        "(#{row.term}, #{row.pool}, #{row.enrolled}, #{row.waiting}, #{row.promised}, #{row.claimed}, #{row.at},",
        " #{row.change})",
        "</foreach>",
        "ON CONFLICT (term, pool) DO UPDATE SET enrolled = EXCLUDED.enrolled, waiting = EXCLUDED.waiting,",
        " promised = EXCLUDED.promised, claimed = EXCLUDED.claimed, at = EXCLUDED.at, change = EXCLUDED.change",
        // What another instance has heard before is there already.
        " WHERE seat_word.at &lt; EXCLUDED.at",
        "</script>"
    })
    void put(@Param("rows") List<Row> rows);

    /**
     * The number of a change that is begun. Whoever asks next waits until this transaction ends, so that changes are committed in the
     * order of their numbers.
     */
    @Select(
            "SELECT nextval('seat_change') FROM (SELECT pg_advisory_xact_lock(hashtextextended('seat_change', 0))) AS alone")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    long nextChange();

    /** Those of later changes, in their order. */
    @Select("SELECT term, pool, enrolled, waiting, promised, claimed, at, change FROM seat_word"
            + " WHERE change > #{change} ORDER BY change")
    List<Row> since(long change);

    /** Tells every instance that listens, once the transaction is committed. */
    @Update("NOTIFY seats")
    void announce();
}
