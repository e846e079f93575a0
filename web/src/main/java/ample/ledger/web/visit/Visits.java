package ample.ledger.web.visit;

import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.Terms;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Begins visits. */
@Component
public class Visits {

    private final Keeping keeping;
    private final Clock clock;
    private final Places places;
    private final Registrar registrar;

    Visits(Keeping keeping, Clock clock, Places places, Terms terms, Registrar registrar) {
        this.registrar = registrar;
        this.places = places;
        this.keeping = keeping;
        this.clock = clock;
        // Otherwise the first guest to look at an edition waits until the seats of all sections are read.
        terms.beforeItIsShown(posted -> ofNobody().of(posted));
    }

    /** Of who sends {@code request}; as of a new guest where what is kept of them cannot be reached for the moment. */
    public Visit of(HttpServletRequest request, Preferences preferences) {
        FromRegistrar said = Keeping.studentName(request).map(this::ask).orElse(FromRegistrar.NOTHING);
        return new Visit(clock.instant(), keeping.of(request), preferences, places.schedules(), said);
    }

    /** While the registrar is away, what it said last of a student stands, with its moment; what they have there now is not known then. */
    private FromRegistrar ask(String student) {
        Optional<StudentFile> file = Optional.empty();
        try {
            file = registrar.student(student);
            return new FromRegistrar(file, registrar.registration(student), Optional.empty());
        } catch (RegistrarAwayException away) {
            return new FromRegistrar(file, Optional.empty(), Optional.of(away.since()));
        }
    }

    /** Of somebody for whom {@code kept} is kept. */
    public Visit of(Kept kept, Preferences preferences) {
        return new Visit(clock.instant(), kept, preferences, places.schedules(), FromRegistrar.NOTHING);
    }

    /** Of a student as somebody else sees them, whom they have let see their record. */
    public Visit of(Kept kept, Preferences preferences, String student) {
        return new Visit(clock.instant(), kept, preferences, places.schedules(), ask(student), true);
    }

    /** Of a student who is not here, by what the registrar has said of them, among these schedules. */
    public Visit of(Kept kept, FromRegistrar said, PostedSchedules posted) {
        return new Visit(clock.instant(), kept, Preferences.USUAL, posted, said);
    }

    /** Of somebody who belongs to no group, for whom lists are written. */
    public Visit ofNobody() {
        return of(Kept.NOTHING, Preferences.USUAL);
    }
}
