package ample.ledger.web.trial;

import ample.ledger.core.registrar.Answer.Outcome;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.Submission;
import ample.ledger.web.registrar.StudentAtScreen;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Registers for a section and gives it up, again and again. */
final class Student implements Runnable {

    private final Scene scene;
    private final String name;
    private final StudentAtScreen screen;
    private final List<Entry> set;
    private boolean registered;

    Student(Scene scene, int number) {
        this.scene = scene;
        this.screen = new StudentAtScreen(scene.root(), scene.term());
        this.name = "student-" + (number + 1);
        this.set = List.of(new Entry(scene.term(), scene.sections().get(number)));
    }

    @Override
    public void run() {
        scene.untilConfirmed(Part::registrations, () -> {
            screen.signIn(name);
            return true;
        });
        for (int i = 0; !scene.isOver(); i++) {
            List<Request> request = List.of(registered ? Request.drop(set) : Request.register(set));
            String id = "trial-" + i;
            scene.untilConfirmed(Part::registrations, () -> answered(id, request));
            Scene.rest(Scene.REST);
        }
    }

    private boolean answered(String id, List<Request> request) throws IOException, InterruptedException {
        Optional<List<Submission.Line>> told = screen.answered(id, request);
        if (told.isEmpty()) {
            screen.submit(id, request, "/registration");
            return false;
        }
        if (told.get().get(0).answer().outcome() == Outcome.DONE) {
            registered = !registered;
        } else {
            scene.wrong(name + " is answered " + told);
        }
        return true;
    }

    int lost(Registrar registrar) {
        Set<Entry> has = Set.copyOf(registrar.registration(name).orElseThrow().registered());
        boolean kept = has.containsAll(set) == registered;
        if (!kept) {
            scene.wrong(name + " has " + has + ", where " + set + " was " + (registered ? "" : "not ") + "confirmed");
        }
        return kept ? 0 : 1;
    }
}
