package ample.ledger.standin.clock;

import java.time.Instant;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** Keeps what the clock shows. */
@Mapper
interface ClockMapper {

    /** Null before it has ever run. */
    @Select("SELECT shows FROM clock")
    @Nullable Instant shows();

    @Insert("INSERT INTO clock (shows) VALUES (#{moment}) ON CONFLICT (one) DO UPDATE SET shows = EXCLUDED.shows")
    void keep(Instant moment);
}
