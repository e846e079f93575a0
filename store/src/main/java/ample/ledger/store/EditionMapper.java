package ample.ledger.store;

import ample.ledger.core.edition.Edition;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/**
 * The statements behind {@link Editions}; they stand in {@code EditionMapper.xml}.
 *
 * <p>Names of tables and columns go into the statements as they are: callers take them from the bundle's format and from
 * nowhere else.
 */
@Mapper
interface EditionMapper {

    /** Waits until no other posting of the term is under way; held until the transaction ends. */
    void lockTerm(String term);

    /** The codes of all terms that have a current edition, in order. */
    List<String> terms();

    Optional<Edition> current(String term);

    /** Whether any edition of the term, current or not, has this checksum. */
    boolean hasEdition(@Param("term") String term, @Param("checksum") String checksum);

    /** The highest number of the term's editions; 0 when there is none. */
    int lastNumber(String term);

    /** @return the new edition's id */
    long insertEdition(Edition edition);

    void makeCurrent(Edition edition);

    /** @param rows each with the number of the row and then the cells, in the order of {@code columns} */
    void insertRows(
            @Param("edition") long edition,
            @Param("table") String table,
            @Param("columns") List<String> columns,
            @Param("rows") List<List<@Nullable Object>> rows);

    /** In the order posted. A null cell is missing from its map. */
    List<Map<String, Object>> selectRows(
            @Param("edition") long edition, @Param("table") String table, @Param("columns") List<String> columns);
}
