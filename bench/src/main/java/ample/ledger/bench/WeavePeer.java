package ample.ledger.bench;

import java.time.Duration;
import java.util.List;
import java.util.OptionalLong;

/** Another solver, asked what the weaver is asked. What it needs to know is given to it before anything is measured. */
interface WeavePeer {

    /**
     * The points of the best weeks, the best first.
     *
     * @return fewer than asked for where there are no more; empty where the time was over
     */
    List<Long> best(int most, Duration limit);

    /** How many weeks there are; empty where the time was over. */
    OptionalLong count(Duration limit);
}
