package ample.ledger.store;

import ample.ledger.core.edition.Edition;
import ample.ledger.core.schedule.TermCode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.session.ResultHandler;

/**
 * The statements behind {@link Editions}; they stand in {@code EditionMapper.xml}.
 *
 * <p>Names of tables and columns go into the statements as they are: callers take them from the bundle's format and from
 * nowhere else.
 */
@Mapper
interface EditionMapper {

    /**
     * Whether no other posting of the term is under way. Where that is so, others are told from now on that one is, until
     * the transaction ends.
     */
    boolean tryLockTerm(TermCode term);

    /** The current edition of every term, by code. */
    List<Edition> allCurrent();

    Optional<Edition> current(TermCode term);

    /** Every edition of the term, the latest first. */
    List<Edition> history(TermCode term);

    Optional<Edition> numbered(@Param("term") TermCode term, @Param("number") int number);

    /** Whether any edition of the term, current or not, has this checksum. */
    boolean hasEdition(@Param("term") TermCode term, @Param("checksum") String checksum);

    /** The highest number of the term's editions; 0 when there is none. */
    int lastNumber(TermCode term);

    /** @return the new edition's id */
    long insertEdition(Edition edition);

    void makeCurrent(Edition edition);

    /** Tells every instance that listens, once the transaction is committed. */
    void announce(TermCode term);

    /** In the order posted. A null cell is missing from its map. Rows are fetched bit by bit inside a transaction. */
    void selectRows(
            @Param("edition") long edition,
            @Param("table") String table,
            @Param("columns") List<String> columns,
            ResultHandler<Map<String, Object>> rows);
}
