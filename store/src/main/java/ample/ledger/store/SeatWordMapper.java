package ample.ledger.store;

import ample.ledger.core.registrar.SeatWord;
import ample.ledger.core.schedule.SeatPool;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The statements behind {@link SeatWords}. */
@Mapper
interface SeatWordMapper {

    /** A row of the table. */
    record Row(String term, String pool, int enrolled, int waiting, int promised, Instant at, Instant recordedAt) {

        SeatWord word() {
            return new SeatWord(term, pool, new SeatPool.Count(enrolled, waiting, promised), at);
        }
    }

    @Insert({
        "<script>",
        "INSERT INTO seat_word (term, pool, enrolled, waiting, promised, at, recorded_at) VALUES",
        "<foreach collection='words' item='word' separator=','>",
        "(#{word.term}, #{word.pool}, #{word.count.enrolled}, #{word.count.waiting}, #{word.count.promised},",
        " #{word.at}, clock_timestamp())",
        "</foreach>",
        "ON CONFLICT (term, pool) DO UPDATE SET enrolled = EXCLUDED.enrolled, waiting = EXCLUDED.waiting,",
        " promised = EXCLUDED.promised, at = EXCLUDED.at, recorded_at = EXCLUDED.recorded_at",
        "</script>"
    })
    void put(@Param("words") List<SeatWord> words);

    /** Recorded at this moment or later, in the order of recording. */
    @Select("SELECT term, pool, enrolled, waiting, promised, at, recorded_at AS \"recordedAt\""
            + " FROM seat_word"
            + " WHERE recorded_at >= #{moment} ORDER BY recorded_at")
    List<Row> since(Instant moment);

    @Delete("DELETE FROM seat_word")
    void forget();

    /** Tells every instance that listens, once the transaction is committed. */
    @Update("NOTIFY seats")
    void announce();
}
