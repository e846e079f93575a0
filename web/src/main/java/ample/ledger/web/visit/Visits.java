package ample.ledger.web.visit;

import ample.ledger.web.guest.Keeping;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Places;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import org.springframework.stereotype.Component;

/** Begins visits. */
@Component
public class Visits {

    private final Keeping keeping;
    private final Clock clock;
    private final Places places;

    Visits(Keeping keeping, Clock clock, Places places) {
        this.places = places;
        this.keeping = keeping;
        this.clock = clock;
    }

    /** Of who sends {@code request}; as of a new guest where what is kept of them cannot be reached for the moment. */
    public Visit of(HttpServletRequest request, Preferences preferences) {
        return of(keeping.of(request), preferences);
    }

    /** Of somebody for whom {@code kept} is kept. */
    public Visit of(Kept kept, Preferences preferences) {
        return new Visit(clock.instant(), kept, preferences, places.schedules());
    }

    /** Of somebody who belongs to no group, for whom lists are written. */
    public Visit ofNobody() {
        return of(Kept.NOTHING, Preferences.USUAL);
    }
}
