package ample.ledger.web.watch;

import ample.ledger.core.edition.Edition;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.plan.Pick;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.Standing;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
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
import java.sql.Connection;
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
 * Measures how long it takes to tell everybody of a new edition, and how long Browse takes meanwhile: {@code ./ledger bench watching}. Plain SQL that finds
 * the same pairs of a student and a section is measured beside it.
 */
public final class WatchingBench {

    private static final int STUDENTS = 50_000;
    private static final int PLANNED = 5;
    private static final int CHANGED = 500;
    private static final int EDITIONS = 4;
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
            System.out.printf(
                    "%n%,d sections; %,d students%n", schedule.sections().size(), STUDENTS);
            Browsing browsing = new Browsing(ledger.root());
            browsing.during(() -> Thread.sleep(WARM_MILLIS));
            double[] quiet = browsing.during(() -> Thread.sleep(QUIET_MILLIS));
            Path posted = large;
            for (int number = 1; number <= EDITIONS; number++) {
                Path next = changed.resolve(Integer.toString(number));
                change(posted, next, number);
                tell(ledger, database, browsing, ScheduleBundle.read(next));
                posted = next;
            }
            System.out.printf("Browse before: median %.0f, 95th percentile %.0f ms%n", quiet[0], quiet[1]);
            System.out.printf(
                    "Memory: %,d MB of the heap in use at the end, %,d at most%n",
                    (Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory()) >> 20,
                    Runtime.getRuntime().maxMemory() >> 20);
        }
        System.exit(0);
    }

    /** Posts an edition, and says how long the notices take beside the joins, and Browse meanwhile. */
    private static void tell(LedgerInstance ledger, TestDatabase database, Browsing browsing, ScheduleBundle next)
            throws Exception {
        Edition edition = ledger.context()
                .getBean(Editions.class)
                .post(next, "", "a benchmark", Instant.now())
                .edition();
        long begun = System.nanoTime();
        double[] busy = browsing.during(() -> await(database));
        print(database, edition, (System.nanoTime() - begun) / 1e9);
        System.out.printf("%nBrowse meanwhile: median %.0f, 95th percentile %.0f ms%n", busy[0], busy[1]);
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
    private static void change(Path from, Path to, int seed) throws IOException {
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
        Collections.shuffle(order, new Random(seed));
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
        return Long.parseLong(text(sql, question));
    }

    private static String text(Statement sql, String question) throws SQLException {
        try (ResultSet answer = sql.executeQuery(question)) {
            answer.next();
            return answer.getString(1);
        }
    }

    private static void print(TestDatabase database, Edition edition, double told) throws SQLException {
        try (Connection connection = database.asOwner().getConnection();
                Statement sql = connection.createStatement()) {
            // The joins would take minutes while PostgreSQL does not know how many rows there are.
            sql.execute("ANALYZE");
        }
        try (Connection connection = database.asApplication().getConnection();
                Statement sql = connection.createStatement()) {
            long notices =
                    number(sql, "SELECT count(*) FROM notice WHERE key LIKE 'edition %d %%'".formatted(edition.id()));
            System.out.printf(
                    "%n%,d notices written: %.1f s%n%n| | s | they take so many times as long |%n|---|---|---|%n",
                    notices, told);
            long before =
                    number(sql, "SELECT max(edition_id) FROM edition WHERE edition_id < %d".formatted(edition.id()));
            String changed = text(
                    sql,
                    "SELECT string_agg(entry, ',') FROM (%s) AS different"
                            .formatted(DIFFERENT.formatted(before, edition.id())));
            for (Join join : Join.values()) {
                Found found = join.find(sql, before, edition, changed);
                System.out.printf(
                        "| %s: %,d pairs | %.3f | %.1f |%n",
                        join.words, found.pairs(), found.seconds(), told / found.seconds());
            }
        }
    }

    /** @param seconds the least of some turns */
    private record Found(int pairs, double seconds) {}

    /** The sections of which something is posted in one of two editions only, of all that notices tell of. */
    private static final String DIFFERENT = """
            SELECT entry FROM meetings WHERE edition_id IN (%1$d, %2$d)
            GROUP BY entry, meeting, kind, pattern, days, date, starts, ends, first_day, last_day, hours_per_week, place, building, room, words
            HAVING count(*) = 1
            UNION
            SELECT entry FROM section_instructors WHERE edition_id IN (%1$d, %2$d) GROUP BY entry, instructor HAVING count(*) = 1
            UNION
            SELECT entry FROM sections
            JOIN courses USING (edition_id, subject, number) JOIN spans USING (edition_id, term, span) JOIN seat_pools USING (edition_id, pool)
            WHERE edition_id IN (%1$d, %2$d)
            GROUP BY entry, title, section, cancelled, campus, first_day, last_day, capacity
            HAVING count(*) = 1
            UNION
            SELECT entry FROM restrictions WHERE edition_id IN (%1$d, %2$d) AND entry IS NOT NULL
            GROUP BY entry, rule, about, any_of, until, sentence HAVING count(*) = 1
            """;

    private static final String GIVEN = "WITH changed AS (SELECT unnest(string_to_array('%4$s', ',')) AS entry)";

    private static final String OF_DOCUMENTS = """

            SELECT DISTINCT owner, entry #>> '{}' FROM visitor, jsonb_path_query(content, '$.**.entry') AS entry
            WHERE entry #>> '{}' IN (SELECT entry FROM changed)
            """;

    private static final String OF_CONCERNS =
            " SELECT owner, about FROM concern JOIN changed ON about = entry WHERE term = '%3$s'";

    /** Plain SQL that finds whom a changed section concerns. */
    private enum Join {
        TOGETHER(
                "the two editions compared and joined with what is kept of the students, in one statement",
                "WITH changed AS (" + DIFFERENT + ")" + OF_DOCUMENTS),
        APART("the same in two statements", DIFFERENT, GIVEN + OF_DOCUMENTS),
        GIVEN_CHANGES("the second of these", GIVEN + OF_DOCUMENTS),
        GIVEN_CHANGES_AND_CONCERNS("the second, with the table of what concerns whom instead", GIVEN + OF_CONCERNS);

        private final String words;
        private final List<String> statements;

        Join(String words, String... statements) {
            this.words = words;
            this.statements = List.of(statements);
        }

        /** @param changed entry numbers, with commas between them */
        Found find(Statement sql, long before, Edition edition, String changed) throws SQLException {
            double best = Double.MAX_VALUE;
            int pairs = 0;
            for (int round = 0; round < ROUNDS; round++) {
                long begun = System.nanoTime();
                for (String statement : statements) {
                    pairs = 0;
                    try (ResultSet rows = sql.executeQuery(statement.formatted(
                            before, edition.id(), edition.term().text(), changed))) {
                        while (rows.next()) {
                            pairs++;
                        }
                    }
                }
                best = Math.min(best, (System.nanoTime() - begun) / 1e9);
            }
            return new Found(pairs, best);
        }
    }
}
