package ample.ledger.store;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** The statements behind {@link Notices}. */
@Mapper
interface NoticeMapper {

    String ARRAY = ConcernMapper.ARRAY;

    /** A row of the table. */
    record Row(
            long id,
            String owner,
            String kind,
            String term,
            String about,
            String content,
            Instant madeAt,
            @Nullable Instant pastAt,
            @Nullable Instant seenAt) {

        Notices.Notice notice() {
            return new Notices.Notice(
                    id,
                    owner,
                    kind,
                    term,
                    about,
                    content,
                    madeAt,
                    Optional.ofNullable(pastAt),
                    Optional.ofNullable(seenAt));
        }
    }

    @Insert("INSERT INTO notice (owner, key, kind, term, about, content, made_at, past_at, letter_at)"
            + " SELECT owner, key, kind, term, about, content::jsonb, made_at::timestamptz, past_at::timestamptz,"
            + " letter_at::timestamptz FROM unnest(#{rows.owners" + ARRAY + ", #{rows.keys" + ARRAY + ", #{rows.kinds"
            + ARRAY + ", #{rows.terms" + ARRAY + ", #{rows.abouts" + ARRAY + ", #{rows.contents" + ARRAY
            + ", #{rows.madeAts" + ARRAY + ", #{rows.pasts" + ARRAY + ", #{rows.letters" + ARRAY
            + ") AS rows (owner, key, kind, term, about, content, made_at, past_at, letter_at)"
            + " ON CONFLICT (owner, key) DO NOTHING")
    void write(@Param("rows") DraftRows rows);

    /** Tells every instance that listens, once the transaction is committed. */
    @Update("NOTIFY notices")
    void announce();

    String COLUMNS = "SELECT id, owner, kind, term, about, content::text AS content, made_at AS madeAt,"
            + " past_at AS pastAt, seen_at AS seenAt FROM notice";

    @Select(COLUMNS + " WHERE owner = #{owner} ORDER BY id DESC LIMIT #{most}")
    List<Row> of(@Param("owner") String owner, @Param("most") int most);

    @Update("UPDATE notice SET seen_at = #{now} WHERE owner = #{owner} AND id = ANY(#{ids" + ARRAY
            + ") AND seen_at IS NULL")
    void see(@Param("owner") String owner, @Param("ids") Long[] ids, @Param("now") Instant now);

    @Update("UPDATE notice SET seen_at = #{now} WHERE owner = #{owner} AND id <= #{id} AND seen_at IS NULL")
    void seeUpTo(@Param("owner") String owner, @Param("id") long id, @Param("now") Instant now);

    @Select("SELECT owner, count(*)::integer AS count FROM notice WHERE seen_at IS NULL AND owner = ANY(#{owners"
            + ARRAY + ") GROUP BY owner")
    List<Notices.Unseen> unseen(@Param("owners") String[] owners);
}
