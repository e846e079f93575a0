package ample.ledger.web.trial;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.registrar.Answer.Outcome;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.Submission;
import ample.ledger.core.schedule.CourseRules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.registrar.RegistrarAt;
import ample.ledger.web.registrar.StudentAtScreen;
import ample.ledger.web.trial.Part.Written;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import java.util.stream.DoubleStream;

/**
 * What users notice while parts of an installation fail: they read, plan and register all the time, by way of the proxy, and what was confirmed to them is
 * looked up in the end. What fails when is told on the standard input, a line as each part of the trial begins; {@code ./ledger trial} tells it.
 */
public final class Trial {

    private static final int READERS = 4;
    private static final int PLANNERS = 2;
    private static final int REGISTERING = 2;
    private static final int STREAMS = 20;

    /** Between two things that one of them does. */
    private static final Duration REST = Duration.ofMillis(400);

    /** Before something that was put off is tried again, and before a page opens its stream again. */
    private static final Duration AGAIN = Duration.ofMillis(500);

    private final URI root;
    private final String address;
    private final String key;
    private final Schedule schedule;
    private final String term;
    private final double bar;
    private final List<String> sections;
    private final List<Part> parts = Collections.synchronizedList(new ArrayList<>());
    private final ConcurrentLinkedQueue<Newcomer> newcomers = new ConcurrentLinkedQueue<>();
    private final ConcurrentLinkedQueue<String> wrong = new ConcurrentLinkedQueue<>();
    private final Set<Listener> listeners = ConcurrentHashMap.newKeySet();
    private final Part before = new Part("before");
    private volatile Part part = before;
    private volatile boolean over;

    private Trial(URI root, String address, String key, Path bundle, double bar) {
        this.bar = bar;
        this.root = root;
        this.address = address;
        this.key = key;
        this.schedule = ScheduleBundle.read(bundle).schedule();
        this.term = schedule.term().code().text();
        this.sections = schedule.sections().stream()
                .filter(section -> section.companion().isEmpty() && !section.cancelled())
                .filter(section -> schedule.companionsOf(section).isEmpty())
                .filter(section -> section.restrictions().isEmpty())
                .filter(section -> section.course().rules().equals(CourseRules.NONE))
                .map(section -> section.entry().digits())
                .toList();
    }

    /** Somebody who came, planned one section, and never came again. */
    private record Newcomer(long confirmedAt, String secret, String section) {}

    /**
     * Runs it until the standard input ends; ends with status 1 where something that must hold does not.
     *
     * @param arguments where the proxy answers, the registrar's address and key, the bundle of the term, and a file that is made when all have begun, and
     *     in which it is written down in the end what was confirmed, for {@link Restored}; and so many seconds writing may take to work again, at most
     */
    public static void main(String[] arguments) throws Exception {
        Trial trial = new Trial(
                URI.create(arguments[0]),
                arguments[1],
                arguments[2],
                Path.of(arguments[3]),
                Double.parseDouble(arguments[5]));
        System.exit(trial.run(Path.of(arguments[4])) ? 0 : 1);
    }

    private boolean run(Path confirmed) throws Exception {
        List<Thread> workers = new ArrayList<>();
        for (int i = 0; i < READERS; i++) {
            workers.add(start(new Reader(i)));
        }
        List<Planner> planners = new ArrayList<>();
        for (int i = 0; i < PLANNERS; i++) {
            planners.add(new Planner(i));
            workers.add(start(planners.get(i)));
        }
        workers.add(start(this::comeAnew));
        List<Student> students = new ArrayList<>();
        for (int i = 0; i < REGISTERING; i++) {
            students.add(new Student(i));
            workers.add(start(students.get(i)));
        }
        for (int i = 0; i < STREAMS; i++) {
            start(new Listener());
        }
        while (before.plans().longest() == 0 || before.registrations().longest() == 0) {
            rest(REST);
        }
        Files.createFile(confirmed);
        try (BufferedReader told = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))) {
            for (String line = told.readLine(); line != null; line = told.readLine()) {
                part = new Part(line);
                parts.add(part);
            }
        }
        over = true;
        for (Thread worker : workers) {
            worker.join(TimeUnit.MINUTES.toMillis(1));
            if (worker.isAlive()) {
                wrong.add("somebody still waits for an answer");
            }
        }
        int lost = 0;
        for (Planner planner : planners) {
            lost += isKept("a week", planner.guest, planner.planned) ? 0 : 1;
        }
        for (Newcomer newcomer : newcomers) {
            Guest guest = new Guest(root, term, newcomer.secret());
            lost += isKept("the week of somebody new", guest, Set.of(newcomer.section())) ? 0 : 1;
        }
        for (Student student : students) {
            lost += student.lost();
        }
        Files.write(
                confirmed,
                newcomers.stream()
                        .map(one -> one.confirmedAt() + " " + one.secret() + " " + one.section())
                        .toList());
        return report(lost);
    }

    private static Thread start(Runnable work) {
        Thread thread = new Thread(work);
        thread.setDaemon(true);
        thread.start();
        return thread;
    }

    private boolean report(int lost) {
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
        long away = listeners.stream().filter(listener -> !listener.open).count();
        System.out.printf(
                Locale.ENGLISH,
                "%nPages lost: %d. Longest until writing worked, where the institution's programs ran: %.1f s. Confirmed things lost: %d, of %,d. Streams that did not come back: %d, of %d.%n",
                readsLost,
                longest,
                lost,
                PLANNERS + REGISTERING + newcomers.size(),
                away,
                STREAMS);
        wrong.forEach(sentence -> System.out.println("Wrong: " + sentence));
        return readsLost == 0 && longest < bar && lost == 0 && away == 0 && wrong.isEmpty();
    }

    private void rest(Duration time) {
        try {
            Thread.sleep(time.toMillis());
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** One try to write something. */
    private interface Try {

        /** @return whether it was confirmed; not where only the answer is not there yet */
        boolean once() throws IOException, InterruptedException;
    }

    /** Tries until it is confirmed, as somebody would who is told "a moment". */
    private void untilConfirmed(Function<Part, Written> kind, Try writing) {
        long begun = System.nanoTime();
        for (int failed = 0; ; ) {
            try {
                if (writing.once()) {
                    kind.apply(part).confirmed((System.nanoTime() - begun) / 1e9, failed > 0);
                    return;
                }
                rest(Duration.ofMillis(50));
            } catch (IOException putOff) {
                failed++;
                rest(AGAIN);
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    /** Reads pages, one after the other. */
    private final class Reader implements Runnable {

        private final Random dice;
        private final Guest guest = new Guest(root, term);

        Reader(int number) {
            this.dice = new Random(number);
        }

        @Override
        public void run() {
            while (!over) {
                String address = some();
                long begun = System.nanoTime();
                try {
                    guest.read(address);
                    part.read((System.nanoTime() - begun) / 1e6);
                } catch (IOException lost) {
                    part.lost(address + ": " + lost);
                } catch (InterruptedException e) {
                    throw new IllegalStateException(e);
                }
                rest(REST);
            }
        }

        private String some() {
            String section = sections.get(dice.nextInt(sections.size()));
            return "/" + term
                    + switch (dice.nextInt(6)) {
                        case 0 -> "/browse";
                        case 1 -> "/browse?days=only:mon,wed&from=09:00";
                        case 2 -> "/browse?order=meeting&seats=1";
                        case 3 ->
                            "/course/"
                                    + schedule.sections()
                                            .get(dice.nextInt(
                                                    schedule.sections().size()))
                                            .course()
                                            .code()
                                            .toString()
                                            .replace(' ', '-');
                        default -> "/section/" + section;
                    };
        }
    }

    /** Adds sections to a week and removes them again. */
    private final class Planner implements Runnable {

        private final Random dice;
        private final Guest guest = new Guest(root, term);
        private final Set<String> planned = new HashSet<>();

        Planner(int number) {
            this.dice = new Random(100 + number);
        }

        @Override
        public void run() {
            while (!over) {
                String section = sections.get(dice.nextInt(20));
                String how = planned.contains(section) ? "remove" : "add";
                untilConfirmed(Part::plans, () -> {
                    guest.plan(how, section);
                    return true;
                });
                if (!planned.remove(section)) {
                    planned.add(section);
                }
                rest(REST);
            }
        }
    }

    private boolean isKept(String what, Guest guest, Set<String> planned) throws InterruptedException {
        while (true) {
            try {
                Set<String> kept = guest.planned();
                if (!kept.equals(planned)) {
                    wrong.add(what + " is " + kept + ", where " + planned + " was confirmed");
                }
                return kept.equals(planned);
            } catch (IOException putOff) {
                rest(AGAIN);
            }
        }
    }

    /** Somebody new again and again, who plans one section and goes. */
    private void comeAnew() {
        Random dice = new Random(200);
        while (!over) {
            Guest guest = new Guest(root, term);
            String section = sections.get(dice.nextInt(sections.size()));
            untilConfirmed(Part::plans, () -> {
                guest.plan("add", section);
                return true;
            });
            newcomers.add(new Newcomer(System.currentTimeMillis(), guest.secret(), section));
            rest(REST);
        }
    }

    /** Registers for a section and gives it up, again and again. */
    private final class Student implements Runnable {

        private final String name;
        private final StudentAtScreen screen = new StudentAtScreen(root, term);
        private final List<Entry> set;
        private boolean registered;

        Student(int number) {
            this.name = "student-" + (number + 1);
            this.set = List.of(new Entry(term, sections.get(number)));
        }

        @Override
        public void run() {
            untilConfirmed(Part::registrations, () -> {
                screen.signIn(name);
                return true;
            });
            for (int i = 0; !over; i++) {
                List<Request> request = List.of(registered ? Request.drop(set) : Request.register(set));
                String id = "trial-" + i;
                untilConfirmed(Part::registrations, () -> answered(id, request));
                rest(REST);
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
                wrong.add(name + " is answered " + told);
            }
            return true;
        }

        int lost() {
            Set<Entry> has = Set.copyOf(RegistrarAt.of(address, key)
                    .registration(name)
                    .orElseThrow()
                    .registered());
            boolean kept = has.containsAll(set) == registered;
            if (!kept) {
                wrong.add(name + " has " + has + ", where " + set + " was " + (registered ? "" : "not ") + "confirmed");
            }
            return kept ? 0 : 1;
        }
    }

    /** An open page, which hears of seats, and opens its stream again when it ends. */
    private final class Listener implements Runnable {

        private volatile boolean open;

        Listener() {
            listeners.add(this);
        }

        @Override
        public void run() {
            Guest guest = new Guest(root, term);
            long ended = System.nanoTime();
            boolean first = true;
            while (!over) {
                try (BufferedReader stream =
                        new BufferedReader(new InputStreamReader(guest.stream(), StandardCharsets.UTF_8))) {
                    open = true;
                    if (!first) {
                        part.streamBack((System.nanoTime() - ended) / 1e9);
                    }
                    while (stream.readLine() != null) {
                        // What is said does not matter here.
                    }
                } catch (IOException gone) {
                    // It is opened again.
                } catch (InterruptedException e) {
                    throw new IllegalStateException(e);
                }
                if (open && !over) {
                    open = false;
                    first = false;
                    ended = System.nanoTime();
                    part.streamEnded();
                }
                rest(AGAIN);
            }
        }
    }
}
