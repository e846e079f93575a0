package ample.ledger.standin.news;

import ample.ledger.core.registrar.RegistrarNews.Seats;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The last word on each pool of seats. */
@Mapper
interface SeatsMapper {

    /**
     * A row of the table.
     *
     * @param claimed numbers with commas between them; empty for none
     */
    record Row(
            String term,
            String pool,
            int enrolled,
            int waiting,
            int promised,
            String claimed,
            Instant at,
            long change) {

        Seats seats() {
            List<Integer> numbers = claimed.isEmpty()
                    ? List.of()
                    : Arrays.stream(claimed.split(",")).map(Integer::valueOf).toList();
            return new Seats(term, pool, enrolled, waiting, promised, numbers, at);
        }
    }

    /** Those that changed after one change, up to another, in their order. */
    @Select("SELECT term, pool, enrolled, waiting, promised, array_to_string(claimed, ',') AS claimed, at, change"
            + " FROM seats WHERE change > #{after} AND change <= #{last}"
            + " ORDER BY change, term, pool")
    List<Row> seats(@Param("after") long after, @Param("last") long last);

    /** Those for whom something changed after one change, up to another. */
    @Select("SELECT student FROM student_change WHERE change > #{after} AND change <= #{last} ORDER BY student")
    List<String> students(@Param("after") long after, @Param("last") long last);

    /** The number of the last change; 0 where there was none. */
    @Select("SELECT greatest(0, (SELECT max(change) FROM seats), (SELECT max(change) FROM student_change))")
    long last();
}
