package ample.ledger.web.guest;

import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.core.watch.Concern;
import ample.ledger.store.Visitors;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;

/** What is kept for students who are not here at the moment. Of who is here {@link Keeping} knows. */
@Component
public class KeptStudents {

    private final Visitors visitors;

    KeptStudents(Visitors visitors) {
        this.visitors = visitors;
    }

    /** What is kept for several, by owner; who has nothing is not there. */
    public Map<String, Kept> of(Collection<String> owners) {
        Map<String, Kept> kept = new HashMap<>();
        visitors.find(owners).forEach((owner, content) -> kept.put(owner, KeptJson.read(content)));
        return kept;
    }

    /** Changes what is kept for one student. */
    public void change(String owner, UnaryOperator<Kept> change) {
        visitors.change(owner, content -> {
            Kept before = content.map(KeptJson::read).orElse(Kept.NOTHING);
            Kept after = change.apply(before);
            return new Visitors.Change<>(Optional.of(KeptJson.write(after)), concerns(owner, before, after), after);
        });
    }

    /** Lets a student of whom nothing is kept begin with a plan. */
    public void begin(String name, Plan plan) {
        Kept begun = Kept.NOTHING.with(PlanBook.EMPTY.bringing(plan));
        visitors.change(
                Visitors.student(name),
                content -> new Visitors.Change<>(
                        content.isPresent() ? Optional.empty() : Optional.of(KeptJson.write(begun)),
                        Optional.of(begun.concerns()),
                        ""));
    }

    /** What concerns a visitor after a change; empty where that is as before. Nobody tells a guest anything, so that nothing concerns them. */
    static Optional<Set<Concern>> concerns(String owner, Kept before, Kept after) {
        return Visitors.studentOf(owner)
                .map(student -> after.concerns())
                .filter(concerns -> !concerns.equals(before.concerns()));
    }
}
