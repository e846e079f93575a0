package ample.ledger.core.browse.index;

import java.util.LinkedHashMap;
import java.util.Map;

/** What was asked for last: when it is full, what has not been asked for longest is let go. */
final class LatestAsked<K, V> extends LinkedHashMap<K, V> {

    private static final long serialVersionUID = 1L;

    private static final float USUAL_LOAD = 0.75f;

    private final int most;

    LatestAsked(int most) {
        super(most, USUAL_LOAD, true);
        this.most = most;
    }

    @Override
    protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
        return size() > most;
    }
}
