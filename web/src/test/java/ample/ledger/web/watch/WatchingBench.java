package ample.ledger.web.watch;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.plan.Pick;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.Standing;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.watch.EditionCorrection;
import ample.ledger.core.watch.Tell;
import ample.ledger.core.watch.Watch;
import ample.ledger.core.watch.Watched;
import ample.ledger.store.Editions;
import ample.ledger.store.TestDatabase;
import ample.ledger.web.LedgerInstance;
import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.guest.KeptStudents;
import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Array;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Measures how long it takes to tell everybody of a new edition, beside a join that finds the same pairs of a student and a section, and how long Browse takes
 * meanwhile: {@code ./ledger bench watching}.
 */
public final class WatchingBench {

    private static final int STUDENTS = 50_000;
    private static final int PLANNED = 5;
    private static final int CHANGED = 500;
    private static final int ROUNDS = 5;
    private static final long WARM_MILLIS = 20_000;
    private static final long QUIET_MILLIS = 15_000;

    private WatchingBench() {}

    /** @param arguments a bundle of 20,000 sections, and a folder for one with changes */
    public static void main(String[] arguments) throws Exception {
        Path large = Path.of(arguments[0]);
        Path changed = Path.of(arguments[1]);
        TestDatabase database = TestDatabase.create();
        try (LedgerInstance ledger =
                LedgerInstance.start(database, "--ledger.post=" + large, "--ledger.limits.visits=1000000")) {
            Schedule schedule = ScheduleBundle.read(large).schedule();
            students(ledger.context().getBean(KeptStudents.class), schedule);
            change(large, changed);
            ScheduleBundle next = ScheduleBundle.read(changed);
            EditionCorrection correction = EditionCorrection.of(schedule, next.schedule());
            System.out.printf(
                    "%n%,d sections, %d changed; %,d students%n",
                    schedule.sections().size(), correction.changes().size(), STUDENTS);
            Browsing browsing = new Browsing(ledger.root());
            browsing.during(() -> Thread.sleep(WARM_MILLIS));
            double[] quiet = browsing.during(() -> Thread.sleep(QUIET_MILLIS));
            ledger.context().getBean(Editions.class).post(next, "", "a benchmark", Instant.now());
            long begun = System.nanoTime();
            double[] busy = browsing.during(() -> await(database));
            double told = (System.nanoTime() - begun) / 1e9;
            print(database, correction, told);
            System.out.printf(
                    "%nBrowse, first view, a guest: median %.0f, 95th percentile %.0f ms before; %.0f, %.0f ms meanwhile%n",
                    quiet[0], quiet[1], busy[0], busy[1]);
            System.out.printf(
                    "Memory: %,d MB of the heap in use at the end, %,d at most%n",
                    (Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory()) >> 20,
                    Runtime.getRuntime().maxMemory() >> 20);
        }
        System.exit(0);
    }

    /** Somebody who looks at Browse, ten times a second. */
    private record Browsing(URI root) {

        private static final long PAUSE_MILLIS = 100;

        /** Something that takes a while. */
        private interface Meanwhile {
            void run() throws Exception;
        }

        /** @return the median and the 95th percentile, in milliseconds, each from when the page was due */
        double[] during(Meanwhile meanwhile) throws Exception {
            List<Double> times = Collections.synchronizedList(new ArrayList<>());
            Visitor visitor = new Visitor(root);
            ScheduledExecutorService asking = Executors.newSingleThreadScheduledExecutor();
            long first = System.nanoTime();
            AtomicLong count = new AtomicLong();
            ScheduledFuture<?> visits = asking.scheduleAtFixedRate(
                    () -> {
                        long due = first + count.getAndIncrement() * PAUSE_MILLIS * 1_000_000;
                        try {
                            if (visitor.get("/autumn-2031/browse").statusCode() != 200) {
                                throw new IllegalStateException("Browse does not answer");
                            }
                        } catch (IOException | InterruptedException e) {
                            throw new IllegalStateException(e);
                        }
                        times.add((System.nanoTime() - due) / 1e6);
                    },
                    0,
                    PAUSE_MILLIS,
                    TimeUnit.MILLISECONDS);
            meanwhile.run();
            if (visits.isDone()) {
                // It ends by itself only where a page was not there.
                visits.get();
            }
            asking.shutdownNow();
            double[] sorted = List.copyOf(times).stream()
                    .mapToDouble(time -> time)
                    .sorted()
                    .toArray();
            return new double[] {sorted[sorted.length / 2], sorted[sorted.length * 95 / 100]};
        }
    }

    private static void students(KeptStudents students, Schedule schedule) {
        List<Section> sections = schedule.sections();
        IntStream.range(0, STUDENTS).parallel().forEach(i -> {
            Random random = new Random(i);
            List<Pick> picks = random.ints(PLANNED, 0, sections.size())
                    .distinct()
                    .mapToObj(at ->
                            new Pick(schedule.term().code(), sections.get(at).entry(), Standing.TAKEN))
                    .toList();
            Watched watched = new Watched.OfSection(
                    schedule.term().code(),
                    sections.get(random.nextInt(sections.size())).entry());
            Plan plan =
                    Plan.empty("1", schedule.term().season().code(), "Plan A").with(picks);
            students.change(
                    "student:student-" + i,
                    kept -> kept.with(kept.plans().putting("planned", plan))
                            .watching(new Watch(watched, Set.of(Tell.CHANGED), 1)));
        });
    }

    /** Other days for some sections, at random. */
    private static void change(Path from, Path to) throws IOException {
        Files.createDirectories(to);
        try (Stream<Path> files = Files.list(from)) {
            for (Path file : files.toList()) {
                Files.copy(file, to.resolve(file.getFileName()));
            }
        }
        Path meetings = to.resolve("meetings.csv");
        List<String> lines = new ArrayList<>(Files.readAllLines(meetings));
        List<Integer> order =
                new ArrayList<>(IntStream.range(1, lines.size()).boxed().toList());
        Collections.shuffle(order, new Random(1));
        Set<String> moved = new HashSet<>();
        for (int at : order) {
            String line = lines.get(at);
            if (moved.size() < CHANGED
                    && line.contains(",weekly,mon wed,")
                    && moved.add(line.substring(0, line.indexOf(',')))) {
                lines.set(at, line.replace(",weekly,mon wed,", ",weekly,tue thu,"));
            }
        }
        Files.write(meetings, lines);
    }

    private static void await(TestDatabase database) throws SQLException, InterruptedException {
        try (Connection connection = database.asApplication().getConnection();
                Statement sql = connection.createStatement()) {
            while (number(sql, "SELECT count(*) FROM edition_to_tell") > 0) {
                Thread.sleep(20);
            }
        }
    }

    private static long number(Statement sql, String question) throws SQLException {
        try (ResultSet answer = sql.executeQuery(question)) {
            answer.next();
            return answer.getLong(1);
        }
    }

    private static void print(TestDatabase database, EditionCorrection correction, double told) throws SQLException {
        try (Connection connection = database.asApplication().getConnection();
                Statement sql = connection.createStatement()) {
            long notices = number(sql, "SELECT count(*) FROM notice WHERE kind = 'changes'");
            System.out.printf("| | s | %,d notices take so many times as long |%n|---|---|---|%n", notices);
            for (Join join : Join.values()) {
                Found found = join.find(connection, correction);
                System.out.printf(
                        "| %s: %,d pairs | %.3f | %.1f |%n",
                        join.words, found.pairs(), found.seconds(), told / found.seconds());
            }
            System.out.printf("| the notices, written | %.1f | |%n", told);
        }
    }

    /** @param seconds the least of some turns */
    private record Found(int pairs, double seconds) {}

    /** Plain SQL that finds whom a changed section concerns. */
    private enum Join {
        OF_CONCERNS(
                "a join of the table of what concerns whom, by its index",
                "SELECT owner, about FROM concern WHERE term = ? AND about = ANY(?)"),
        OF_DOCUMENTS(
                "a join of what is kept of the students, without that table",
                "SELECT DISTINCT owner, entry #>> '{}' FROM visitor, jsonb_path_query(content, '$.**.entry') AS entry"
                        + " WHERE ? <> '' AND entry #>> '{}' = ANY(?)");

        private final String words;
        private final String question;

        Join(String words, String question) {
            this.words = words;
            this.question = question;
        }

        Found find(Connection connection, EditionCorrection correction) throws SQLException {
            Array abouts = connection.createArrayOf(
                    "text",
                    correction.changes().keySet().stream()
                            .map(entry -> entry.digits())
                            .toArray());
            try (PreparedStatement join = connection.prepareStatement(question)) {
                join.setString(1, correction.term().text());
                join.setArray(2, abouts);
                double best = Double.MAX_VALUE;
                int pairs = 0;
                for (int round = 0; round < ROUNDS; round++) {
                    long begun = System.nanoTime();
                    pairs = 0;
                    try (ResultSet rows = join.executeQuery()) {
                        while (rows.next()) {
                            pairs++;
                        }
                    }
                    best = Math.min(best, (System.nanoTime() - begun) / 1e9);
                }
                return new Found(pairs, best);
            }
        }
    }
}
