package ample.ledger.core.plan;

import ample.ledger.core.schedule.Schedule;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.Map;

/** Which sections of a schedule do not go into one plan with a section; the latest answers are remembered. Safe for many threads. */
final class KeptApart {

    /** Answers remembered; each takes a bit for every section of a schedule. */
    private static final int MOST = 1_000;

    private final PostedSchedules posted;

    private final Map<Asked, BitSet> latest = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Asked, BitSet> eldest) {
            return size() > MOST;
        }
    };

    private record Asked(Attendance attendance, Schedule schedule) {}

    KeptApart(PostedSchedules posted) {
        this.posted = posted;
    }

    /**
     * The places, in the order of the schedule, of the sections that {@code attendance} keeps out of a plan. Cost when asked for the
     * first time: one look at each section.
     */
    BitSet of(Attendance attendance, Schedule schedule) {
        Asked asked = new Asked(attendance, schedule);
        synchronized (latest) {
            BitSet known = latest.get(asked);
            if (known != null) {
                return known;
            }
        }
        BitSet apart = new BitSet(schedule.sections().size());
        for (int place = 0; place < schedule.sections().size(); place++) {
            Attendance other = posted.attendance(schedule.sections().get(place), schedule);
            if (Together.apart(attendance, other, posted).isPresent()) {
                apart.set(place);
            }
        }
        synchronized (latest) {
            latest.put(asked, apart);
        }
        return apart;
    }
}
