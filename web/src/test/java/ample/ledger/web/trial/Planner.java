package ample.ledger.web.trial;

import java.util.HashSet;
import java.util.Random;
import java.util.Set;

/** Adds sections to a week and removes them again. */
final class Planner implements Runnable {

    private final Scene scene;
    private final Guest guest;
    private final Random dice;
    private final Set<String> planned = new HashSet<>();

    Planner(Scene scene, int number) {
        this.scene = scene;
        this.guest = new Guest(scene.root(), scene.term());
        this.dice = new Random(100 + number);
    }

    @Override
    public void run() {
        while (!scene.isOver()) {
            String section = scene.sections().get(dice.nextInt(20));
            String how = planned.contains(section) ? "remove" : "add";
            scene.untilConfirmed(Part::plans, () -> {
                guest.plan(how, section);
                return true;
            });
            if (!planned.remove(section)) {
                planned.add(section);
            }
            Scene.rest(Scene.REST);
        }
    }

    int lost() {
        return scene.isKept("a week", guest, planned) ? 0 : 1;
    }
}
