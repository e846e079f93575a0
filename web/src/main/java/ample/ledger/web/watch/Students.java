package ample.ledger.web.watch;

import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.store.Telling;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.guest.KeptStudents;
import ample.ledger.web.visit.FromRegistrar;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.visit.Visits;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Students who are not here at the moment: what they keep, and what the registrar said of them last. */
@Component
class Students {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final KeptStudents kept;
    private final Telling telling;
    private final Visits visits;

    Students(KeptStudents kept, Telling telling, Visits visits) {
        this.kept = kept;
        this.telling = telling;
        this.visits = visits;
    }

    /** What each of these would see now, by owner, if these schedules were posted. */
    Map<String, Visit> visits(Collection<String> owners, PostedSchedules posted) {
        Map<String, Kept> all = kept.of(owners);
        Map<String, Telling.Said> said =
                telling.people(owners).stream().collect(Collectors.toMap(Telling.Said::owner, one -> one));
        Map<String, Visit> visiting = new HashMap<>();
        owners.forEach(owner -> visiting.put(
                owner,
                visits.of(
                        all.getOrDefault(owner, Kept.NOTHING),
                        Optional.ofNullable(said.get(owner))
                                .map(Students::fromRegistrar)
                                .orElse(FromRegistrar.NOTHING),
                        posted)));
        return visiting;
    }

    private static FromRegistrar fromRegistrar(Telling.Said said) {
        return new FromRegistrar(Optional.of(file(said)), Optional.of(registration(said)), Optional.empty());
    }

    static StudentFile file(Telling.Said said) {
        return JSON.readValue(said.file(), StudentFile.class);
    }

    static Registration registration(Telling.Said said) {
        return JSON.readValue(said.registration(), Registration.class);
    }

    static Telling.Said said(String owner, StudentFile file, Registration registration) {
        return new Telling.Said(owner, JSON.writeValueAsString(file), JSON.writeValueAsString(registration));
    }
}
