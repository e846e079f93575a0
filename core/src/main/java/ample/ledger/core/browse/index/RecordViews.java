package ample.ledger.core.browse.index;

import ample.ledger.core.reading.Background;
import java.util.Collections;
import java.util.Map;
import java.util.function.Function;

/** The views that records give of one edition: those asked for last, since one student asks many times. Safe for any number of readers. */
final class RecordViews {

    private static final int MOST_VIEWS = 32;

    private final Function<Background, RecordView> made;
    private final Map<Background, RecordView> views = Collections.synchronizedMap(new LatestAsked<>(MOST_VIEWS));

    RecordViews(Function<Background, RecordView> made) {
        this.made = made;
    }

    RecordView of(Background background) {
        return views.computeIfAbsent(background, made);
    }
}
