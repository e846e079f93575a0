package ample.ledger.store;

import java.time.Instant;
import java.util.List;

/** What was done at the desk, and by whom. Nothing of it is ever changed. */
public class DeskActs {

    private final DeskActMapper mapper;

    DeskActs(DeskActMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * Something that was done.
     *
     * @param who as they sign in
     * @param what in a few words: "posted edition 3 of autumn-2031"
     */
    public record Act(Instant at, String who, String what) {}

    public void note(Act act) {
        mapper.add(act);
    }

    /** The latest, the last first. */
    public List<Act> latest(int most) {
        return mapper.latest(most);
    }
}
