package ample.ledger.store;

import ample.ledger.core.registrar.SeatWord;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.TermCode;
import java.time.Instant;
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
    record Row(TermCode term, String pool, int enrolled, int waiting, int promised, Instant at, long change) {

        SeatWord word() {
            return new SeatWord(term, pool, new SeatPool.Count(enrolled, waiting, promised), at);
        }
    }

    @Insert({
        "<script>",
        "INSERT INTO seat_word (term, pool, enrolled, waiting, promised, at, change) VALUES",
        "<foreach collection='words' item='word' separator=','>",
        "(#{word.term}, #{word.pool}, #{word.count.enrolled}, #{word.count.waiting}, #{word.count.promised},",
        " #{word.at}, #{change})",
        "</foreach>",
        "ON CONFLICT (term, pool) DO UPDATE SET enrolled = EXCLUDED.enrolled, waiting = EXCLUDED.waiting,",
        " promised = EXCLUDED.promised, at = EXCLUDED.at, change = EXCLUDED.change",
        // What another instance has heard before is there already.
        " WHERE seat_word.at &lt; EXCLUDED.at",
        "</script>"
    })
    void put(@Param("words") List<SeatWord> words, @Param("change") long change);

    /**
     * The number of a change that is begun. Whoever asks next waits until this transaction ends, so that changes are committed in the
     * order of their numbers.
     */
    @Select(
            "SELECT nextval('seat_change') FROM (SELECT pg_advisory_xact_lock(hashtextextended('seat_change', 0))) AS alone")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    long nextChange();

    /** Those of later changes, in their order. */
    @Select("SELECT term, pool, enrolled, waiting, promised, at, change FROM seat_word"
            + " WHERE change > #{change} ORDER BY change")
    List<Row> since(long change);

    /** Tells every instance that listens, once the transaction is committed. */
    @Update("NOTIFY seats")
    void announce();
}
