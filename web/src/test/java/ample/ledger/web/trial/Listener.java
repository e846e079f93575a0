package ample.ledger.web.trial;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;

/** An open page, which hears of seats, and opens its stream again when it ends. */
final class Listener implements Runnable {

    private final Scene scene;
    private volatile boolean open;

    Listener(Scene scene) {
        this.scene = scene;
    }

    boolean isOpen() {
        return open;
    }

    @Override
    public void run() {
        Guest guest = new Guest(scene.root(), scene.term());
        long ended = System.nanoTime();
        boolean first = true;
        while (!scene.isOver()) {
            try (BufferedReader stream =
                    new BufferedReader(new InputStreamReader(guest.stream(), StandardCharsets.UTF_8))) {
                open = true;
                if (!first) {
                    scene.part().streamBack((System.nanoTime() - ended) / 1e9);
                }
                while (stream.readLine() != null) {
                    // What is said does not matter here.
                }
            } catch (IOException gone) {
                // It is opened again.
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
            if (open && !scene.isOver()) {
                open = false;
                first = false;
                ended = System.nanoTime();
                scene.part().streamEnded();
            }
            Scene.rest(Scene.AGAIN);
        }
    }
}
