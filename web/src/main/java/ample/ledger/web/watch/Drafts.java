package ample.ledger.web.watch;

import ample.ledger.store.Notices;
import ample.ledger.web.guest.LetterChoice;
import ample.ledger.web.guest.LetterChoice.Pace;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Optional;

/** Makes notices ready to be written. */
final class Drafts {

    /** When the letters of the day come, where the institution stands. */
    static final LocalTime DAILY = LocalTime.of(7, 0);

    private Drafts() {}

    /**
     * One notice.
     *
     * @param zone of the institution
     */
    static Notices.Draft of(
            String owner,
            String key,
            Kind kind,
            String term,
            String about,
            NoticeContent content,
            Instant now,
            Optional<Instant> past,
            LetterChoice letters,
            ZoneId zone) {
        return new Notices.Draft(
                owner,
                key,
                kind.code(),
                term,
                about,
                content.json(),
                now,
                past,
                letterAt(letters.pace(kind.letters()), now, zone));
    }

    /** From when on a letter may tell of something that is known at {@code now}; empty for never. */
    static Optional<Instant> letterAt(Pace pace, Instant now, ZoneId zone) {
        return switch (pace) {
            case AT_ONCE -> Optional.of(now);
            case DAILY -> {
                ZonedDateTime here = now.atZone(zone);
                ZonedDateTime today = here.with(DAILY);
                yield Optional.of((today.isAfter(here) ? today : today.plusDays(1)).toInstant());
            }
            case NEVER -> Optional.empty();
        };
    }
}
