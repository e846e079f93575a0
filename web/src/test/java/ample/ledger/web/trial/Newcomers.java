package ample.ledger.web.trial;

import java.util.Collection;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedQueue;

/** Somebody new again and again, who plans one section and never comes again. */
final class Newcomers implements Runnable {

    private final Scene scene;
    private final Random dice = new Random(200);
    private final Collection<Newcomer> all = new ConcurrentLinkedQueue<>();

    Newcomers(Scene scene) {
        this.scene = scene;
    }

    private record Newcomer(long confirmedAt, String secret, String section) {}

    @Override
    public void run() {
        while (!scene.isOver()) {
            Guest guest = new Guest(scene.root(), scene.term());
            String section = scene.sections().get(dice.nextInt(scene.sections().size()));
            scene.untilConfirmed(Part::plans, () -> {
                guest.plan("add", section);
                return true;
            });
            all.add(new Newcomer(System.currentTimeMillis(), guest.secret(), section));
            Scene.rest(Scene.REST);
        }
    }

    int count() {
        return all.size();
    }

    int lost() {
        int lost = 0;
        for (Newcomer one : all) {
            Guest guest = new Guest(scene.root(), scene.term(), one.secret());
            lost += scene.isKept("the week of somebody new", guest, Set.of(one.section())) ? 0 : 1;
        }
        return lost;
    }

    /** When each was confirmed, by what they are known, and what they planned: as {@link Restored} reads it. */
    List<String> lines() {
        return all.stream()
                .map(one -> one.confirmedAt() + " " + one.secret() + " " + one.section())
                .toList();
    }
}
