package ample.ledger.web.trial;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.registrar.Registrar;
import ample.ledger.web.registrar.RegistrarAt;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/**
 * What users notice while parts of an installation fail: they read, plan and register all the time, by way of the proxy, and what was confirmed to them is
 * looked up in the end. What fails when is told on the standard input, a line as each part of the trial begins; {@code ./ledger trial} tells it.
 */
public final class Trial {

    private static final int READERS = 4;
    private static final int PLANNERS = 2;
    private static final int REGISTERING = 2;
    private static final int STREAMS = 20;

    private final Part before = new Part("before");
    private final List<Part> parts = new ArrayList<>();
    private final Scene scene;
    private final List<Planner> planners;
    private final List<Student> students;
    private final List<Listener> listeners;
    private final Newcomers newcomers;

    private Trial(URI root, Path bundle) {
        scene = new Scene(root, ScheduleBundle.read(bundle).schedule(), before);
        planners = IntStream.range(0, PLANNERS)
                .mapToObj(number -> new Planner(scene, number))
                .toList();
        students = IntStream.range(0, REGISTERING)
                .mapToObj(number -> new Student(scene, number))
                .toList();
        listeners = IntStream.range(0, STREAMS)
                .mapToObj(number -> new Listener(scene))
                .toList();
        newcomers = new Newcomers(scene);
    }

    /**
     * Runs it until the standard input ends; ends with status 1 where something that must hold does not.
     *
     * @param arguments where the proxy answers; the registrar's address and key; the bundle of the term; a file, which is made when everybody has begun, and
     *     in which what was confirmed is written down in the end, for {@link Restored}; and how many seconds it may take at most until writing works again
     */
    public static void main(String[] arguments) throws Exception {
        Trial trial = new Trial(URI.create(arguments[0]), Path.of(arguments[3]));
        trial.run(Path.of(arguments[4]));
        boolean holds = trial.report(RegistrarAt.of(arguments[1], arguments[2]), Double.parseDouble(arguments[5]));
        Files.write(Path.of(arguments[4]), trial.newcomers.lines());
        System.exit(holds ? 0 : 1);
    }

    private void run(Path begins) throws IOException, InterruptedException {
        List<Thread> workers = new ArrayList<>();
        IntStream.range(0, READERS).forEach(number -> workers.add(start(new Reader(scene, number))));
        planners.forEach(planner -> workers.add(start(planner)));
        workers.add(start(newcomers));
        students.forEach(student -> workers.add(start(student)));
        listeners.forEach(Trial::start);
        while (before.plans().longest() == 0 || before.registrations().longest() == 0) {
            Scene.rest(Scene.REST);
        }
        Files.createFile(begins);
        try (BufferedReader told = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))) {
            for (String line = told.readLine(); line != null; line = told.readLine()) {
                parts.add(new Part(line));
                scene.begin(parts.get(parts.size() - 1));
            }
        }
        scene.end();
        for (Thread worker : workers) {
            worker.join(TimeUnit.MINUTES.toMillis(1));
            if (worker.isAlive()) {
                scene.wrong("somebody still waits for an answer");
            }
        }
    }

    private static Thread start(Runnable work) {
        Thread thread = new Thread(work);
        thread.setDaemon(true);
        thread.start();
        return thread;
    }

    private int confirmedAndLost(Registrar registrar) {
        return newcomers.lost()
                + planners.stream().mapToInt(Planner::lost).sum()
                + students.stream().mapToInt(student -> student.lost(registrar)).sum();
    }

    /** @return whether all holds that must */
    private boolean report(Registrar registrar, double bar) {
        int lost = confirmedAndLost(registrar);
        System.out.println();
        System.out.println(Part.HEAD);
        parts.forEach(one -> System.out.println(one.row()));
        int readsLost = parts.stream().mapToInt(Part::lost).sum();
        double longest = parts.stream()
                .flatMapToDouble(one -> one.isWithoutInstitution()
                        ? DoubleStream.of(one.plans().longest())
                        : DoubleStream.of(
                                one.plans().longest(), one.registrations().longest()))
                .max()
                .orElse(0);
        long away = listeners.stream().filter(listener -> !listener.isOpen()).count();
        System.out.printf(
                Locale.ENGLISH,
                "%nPages lost: %d. Longest until writing worked, where the institution's programs ran: %.1f s. Confirmed things lost: %d, of %,d. Streams that did not come back: %d, of %d.%n",
                readsLost,
                longest,
                lost,
                PLANNERS + REGISTERING + newcomers.count(),
                away,
                STREAMS);
        scene.allWrong().forEach(sentence -> System.out.println("Wrong: " + sentence));
        return readsLost == 0
                && longest < bar
                && lost == 0
                && away == 0
                && scene.allWrong().isEmpty();
    }
}
