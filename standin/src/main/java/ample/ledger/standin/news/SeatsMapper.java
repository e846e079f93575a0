package ample.ledger.standin.news;

import ample.ledger.core.registrar.RegistrarNews.Seats;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Keeps the last word on each pool of seats. */
@Mapper
interface SeatsMapper {

    /** A row of the table. */
    record Row(String term, String pool, int enrolled, int waiting, int promised, Instant at, long change) {

        Seats seats() {
            return new Seats(term, pool, enrolled, waiting, promised, at);
        }
    }

    @Insert(
            "INSERT INTO seats (term, pool, enrolled, waiting, promised, at, change) VALUES (#{word.term}, #{word.pool},"
                    + " #{word.enrolled}, #{word.waiting}, #{word.promised}, #{word.at}, #{change})"
                    + " ON CONFLICT (term, pool) DO UPDATE SET enrolled = EXCLUDED.enrolled, waiting = EXCLUDED.waiting,"
                    + " promised = EXCLUDED.promised, at = EXCLUDED.at, change = EXCLUDED.change")
    void put(@Param("word") Seats word, @Param("change") long change);

    /** Those of later changes, in their order. */
    @Select("SELECT term, pool, enrolled, waiting, promised, at, change FROM seats WHERE change > #{change}"
            + " ORDER BY change, term, pool")
    List<Row> since(long change);

    /** The number of the last change; 0 where there was none. */
    @Select("SELECT coalesce(max(change), 0) FROM seats")
    long last();

    @Select("SELECT nextval('change')")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    long nextChange();
}
