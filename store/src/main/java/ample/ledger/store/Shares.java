package ample.ledger.store;

import ample.ledger.core.schedule.SeasonCode;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Plans that are shown to others, each at an address that only who was given it knows. What a plan is, it does not know. */
public class Shares {

    private static final Duration SHOWN = Duration.ofDays(366);

    private final ShareMapper mapper;

    Shares(ShareMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * A plan that is shown at an address of its own.
     *
     * @param token what the address ends with; not to be guessed
     * @param owner a visitor of whom something is kept, as {@link Visitors} names them
     * @param purpose {@code reading} or {@code calendar}
     * @param withNotes whether the owner shows their notes too
     * @param withRecord whether advisers see the owner's record with it
     * @param content the plan as JSON
     */
    public record Share(
            String token,
            String owner,
            String purpose,
            SeasonCode season,
            String planId,
            boolean withNotes,
            boolean withRecord,
            String content) {}

    /** Shows a plan; what was shown more than a year ago is shown no longer. */
    public void share(Share share, Instant now) {
        mapper.deleteBefore(now.minus(SHOWN));
        mapper.insert(share, now);
    }

    /**
     * Shows a changed plan wherever it is shown.
     *
     * @param withNotes as it is shown where its owner shows the notes too
     * @param withoutNotes the same everywhere else
     */
    public void showChanged(String owner, SeasonCode season, String planId, String withNotes, String withoutNotes) {
        mapper.update(owner, season, planId, withNotes, withoutNotes);
    }

    /** Ends a share; nothing happens where it is not this owner's. */
    public void withdraw(String owner, String token) {
        mapper.delete(owner, token);
    }

    public Optional<Share> find(String token) {
        return mapper.find(token);
    }

    /** The oldest first. */
    public List<Share> of(String owner) {
        return mapper.of(owner);
    }

    /** Makes one owner's shares another's: a guest has signed in. */
    public void handOver(String before, String after) {
        mapper.changeOwner(before, after);
    }
}
