package ample.ledger.store;

import ample.ledger.core.schedule.TermCode;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The statements behind {@link Telling}: what is to be told, and how far it is. */
@Mapper
interface TellingMapper {

    /** Where nothing was current before there is nobody to tell. */
    @Insert("INSERT INTO edition_to_tell (term, before, now) SELECT #{term}, edition_id, #{now} FROM current_edition"
            + " WHERE term = #{term} AND edition_id <> #{now}")
    void editionToTell(@Param("term") TermCode term, @Param("now") long now);

    /** One that nobody else is at; it is kept from others until the transaction ends. */
    @Select(
            "SELECT id, term, before, now, told_to AS toldTo FROM edition_to_tell ORDER BY id LIMIT 1 FOR UPDATE SKIP LOCKED")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    Optional<Telling.EditionToTell> nextEdition();

    @Select("SELECT count(*) FROM edition_to_tell")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    int editionsToTell();

    @Update("UPDATE edition_to_tell SET told_to = #{owner} WHERE id = #{id}")
    void toldTo(@Param("id") long id, @Param("owner") String owner);

    @Delete("DELETE FROM edition_to_tell WHERE id = #{id}")
    void told(long id);

    /**
     * Some for whom what the day brings has not been looked through; it counts as done from now on. Where two ask at once, the second waits for the
     * first and gets others, or none.
     */
    @Select(
            "WITH due AS (SELECT DISTINCT owner FROM concern WHERE coalesce(told_day, '-infinity') < #{day} LIMIT #{most}),"
                    + " done AS (UPDATE concern SET told_day = #{day} FROM due WHERE concern.owner = due.owner"
                    + " AND coalesce(told_day, '-infinity') < #{day} RETURNING concern.owner)"
                    + " SELECT DISTINCT owner FROM done ORDER BY owner")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    List<String> ofDay(@Param("day") LocalDate day, @Param("most") int most);

    @Insert("INSERT INTO person (owner, file, registration) VALUES (#{owner}, #{file}::jsonb, #{registration}::jsonb)"
            + " ON CONFLICT (owner) DO UPDATE SET file = EXCLUDED.file, registration = EXCLUDED.registration")
    void keepPerson(
            @Param("owner") String owner, @Param("file") String file, @Param("registration") String registration);

    @Select("SELECT owner, file::text AS file, registration::text AS registration FROM person WHERE owner = #{owner}"
            + " AND file IS NOT NULL FOR UPDATE")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    Optional<Telling.Said> lockPerson(String owner);

    @Select("SELECT owner, file::text AS file, registration::text AS registration FROM person"
            + " WHERE owner = ANY(#{owners" + ConcernMapper.ARRAY + ") AND file IS NOT NULL")
    List<Telling.Said> people(String[] owners);

    @Insert(
            "INSERT INTO person (owner, changes, asked_at) VALUES (#{owner}, 1, '-infinity') ON CONFLICT (owner) DO UPDATE"
                    + " SET changes = person.changes + 1, asked_at = '-infinity', signed_in_at = now()")
    void arrived(String owner);

    @Update("UPDATE person SET changes = changes + 1, asked_at = '-infinity' WHERE owner = ANY(#{owners"
            + ConcernMapper.ARRAY + ")")
    void changed(String[] owners);

    /** Some that have changed and that nobody has set out to ask about for some seconds; nobody else gets them within that time. */
    @Select(
            "UPDATE person SET asked_at = clock_timestamp() WHERE owner IN (SELECT owner FROM person WHERE changes > asked"
                    + " AND asked_at < clock_timestamp() - make_interval(secs => #{seconds}) LIMIT #{most} FOR UPDATE SKIP LOCKED)"
                    + " RETURNING owner, changes")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    List<Telling.ToAsk> toAsk(@Param("seconds") double seconds, @Param("most") int most);

    @Update("UPDATE person SET asked = greatest(asked, #{changes}) WHERE owner = #{owner}")
    void asked(@Param("owner") String owner, @Param("changes") long changes);

    /** Those with an offer in what the institution said last. */
    @Select("SELECT owner, file::text AS file, registration::text AS registration FROM person"
            + " WHERE registration->'offers' <> '[]'::jsonb")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    List<Telling.Said> withOffers();
}
