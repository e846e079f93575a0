package ample.ledger.web.trial;

import java.io.IOException;
import java.util.Random;

/** Reads pages, one after the other. */
final class Reader implements Runnable {

    private final Scene scene;
    private final Guest guest;
    private final Random dice;

    Reader(Scene scene, int number) {
        this.scene = scene;
        this.guest = new Guest(scene.root(), scene.term());
        this.dice = new Random(number);
    }

    @Override
    public void run() {
        while (!scene.isOver()) {
            String address = some();
            long begun = System.nanoTime();
            try {
                guest.read(address);
                scene.part().read((System.nanoTime() - begun) / 1e6);
            } catch (IOException lost) {
                scene.part().lost(address + ": " + lost);
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
            Scene.rest(Scene.REST);
        }
    }

    private String some() {
        String section = scene.sections().get(dice.nextInt(scene.sections().size()));
        return "/" + scene.term()
                + switch (dice.nextInt(6)) {
                    case 0 -> "/browse";
                    case 1 -> "/browse?days=only:mon,wed&from=09:00";
                    case 2 -> "/browse?order=meeting&seats=1";
                    case 3 ->
                        "/course/"
                                + scene.schedule()
                                        .sections()
                                        .get(dice.nextInt(
                                                scene.schedule().sections().size()))
                                        .course()
                                        .code()
                                        .toString()
                                        .replace(' ', '-');
                    default -> "/section/" + section;
                };
    }
}
