package ample.ledger.standin.submission;

import ample.ledger.core.fixtures.StolenTime;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.plan.Together;
import ample.ledger.core.registrar.Answer.Outcome;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.Submission;
import ample.ledger.core.schedule.CourseRules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.standin.StandinApplication;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.IntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import javax.sql.DataSource;
import org.springframework.boot.SpringApplication;

/**
 * Measures what the registry decides and commits: {@code ./ledger bench register}. Beside it runs PostgreSQL's own pgbench, on the same server and with as
 * many connections as there are students at once here: the least that a seat can cost, {@code UPDATE … WHERE taken < capacity}. The registry runs in this
 * process, whole, so that what is measured is the decision, the journal and the durable commit; what HTTP adds is measured elsewhere.
 */
public final class RegistryBench {

    private static final int AT_ONCE = 16;

    /** All that is compared is measured in turn, round after round: others come and go on a machine. */
    private static final int ROUNDS = 5;

    private static final int SECONDS = 4;
    private static final int TO_WARM_UP = 3;
    private static final int STUDENTS = 1_600;
    private static final int SECTIONS_OF_A_PLAN = 5;
    private static final BigDecimal MOST_CREDITS = BigDecimal.valueOf(18);
    private static final Pattern TPS = Pattern.compile("tps = ([0-9.]+)");

    private final Registry registry;
    private final Schedule schedule;
    private final PostedSchedules posted;
    private final Path folder;

    private RegistryBench(Registry registry, PostedSchedules posted, Path folder) {
        this.registry = registry;
        this.posted = posted;
        this.schedule = posted.all().iterator().next();
        this.folder = folder;
    }

    /** @param arguments a folder to write scripts in, and the options of the institution: its bundle has room for everybody */
    public static void main(String[] arguments) throws Exception {
        System.setProperty("spring.config.name", "standin");
        try (var context =
                SpringApplication.run(StandinApplication.class, Arrays.copyOfRange(arguments, 1, arguments.length))) {
            try (Connection connection = context.getBean(DataSource.class).getConnection();
                    Statement statement = connection.createStatement()) {
                statement.execute("CREATE TABLE bench_seats"
                        + " (id integer PRIMARY KEY, taken integer NOT NULL, capacity integer NOT NULL)");
                statement.execute(
                        "INSERT INTO bench_seats SELECT id, 0, 100000000 FROM generate_series(1, 10000) AS id");
            }
            new RegistryBench(
                            context.getBean(Registry.class),
                            context.getBean(PostedSchedules.class),
                            Path.of(arguments[0]))
                    .measure();
        }
    }

    private void measure() throws Exception {
        List<Attendance> open = schedule.sections().stream()
                .filter(section -> section.companion().isEmpty() && !section.cancelled())
                .filter(section -> schedule.companionsOf(section).isEmpty())
                .filter(section -> section.restrictions().isEmpty())
                .filter(section -> section.course().rules().equals(CourseRules.NONE))
                .map(section -> posted.attendance(section, schedule))
                .toList();
        List<List<Request>> plans = plans(open);
        List<Request> one = List.of(Request.register(List.of(Entry.of(open.get(0)))));
        IntFunction<List<Request>> alone =
                student -> List.of(Request.register(List.of(Entry.of(open.get(student % open.size())))));
        IntFunction<List<Request>> plan = student -> plans.get(student % plans.size());
        Measured contested = new Measured("pgbench, contested", () -> pgbench("contested", "1"), Optional.empty());
        Measured spread = new Measured(
                "pgbench, spread", () -> pgbench("spread", "random(1, " + open.size() + ")"), Optional.empty());
        List<Measured> all = List.of(
                contested,
                new Measured(
                        "registrations and drops, one section for all",
                        () -> seats(student -> one),
                        Optional.of(contested)),
                spread,
                new Measured(
                        "registrations and drops, one section a submission", () -> seats(alone), Optional.of(spread)),
                new Measured(
                        "registrations and drops, " + SECTIONS_OF_A_PLAN + " sections a submission",
                        () -> seats(plan),
                        Optional.of(spread)));
        System.out.printf(
                "%d at once; %d rounds, in which each has %d s in turn; %d sections open to everybody, and %d plans of %d of them%n%n",
                AT_ONCE, ROUNDS, SECONDS, open.size(), plans.size(), SECTIONS_OF_A_PLAN);
        // Students are worked out when they first come, and a program that has just been started is slower.
        for (int i = 0; i < TO_WARM_UP; i++) {
            seats(plan);
            seats(alone);
        }
        Map<Measured, double[]> rates = new LinkedHashMap<>();
        all.forEach(measured -> rates.put(measured, new double[ROUNDS]));
        try (StolenTime stolen = new StolenTime()) {
            for (int round = 0; round < ROUNDS; round++) {
                for (Measured measured : all) {
                    rates.get(measured)[round] = measured.rate().call();
                }
            }
            System.out.println(
                    "| what | seats a second | of pgbench's in the same round | in its worst and best round |");
            System.out.println("|---|---|---|---|");
            rates.forEach((measured, own) -> {
                double[] of = measured.beside().map(rates::get).orElse(own);
                double[] shares = IntStream.range(0, ROUNDS)
                        .mapToDouble(round -> 100 * own[round] / of[round])
                        .sorted()
                        .toArray();
                System.out.printf(
                        Locale.ENGLISH,
                        "| %s | %,.0f | %.0f %% | %.0f and %.0f %% |%n",
                        measured.what(),
                        Arrays.stream(own).sorted().toArray()[ROUNDS / 2],
                        shares[ROUNDS / 2],
                        shares[0],
                        shares[ROUNDS - 1]);
            });
            System.out.println("meanwhile " + stolen.inWords());
        }
    }

    /**
     * Something that is measured.
     *
     * @param rate measures it once: how often it is done a second
     * @param beside what it is compared with
     */
    private record Measured(String what, Callable<Double> rate, Optional<Measured> beside) {}

    /** Sections that go together, each of them in one plan. */
    private static List<List<Request>> plans(List<Attendance> open) {
        List<List<Attendance>> plans = new ArrayList<>();
        for (Attendance section : open) {
            List<Attendance> fits = plans.stream()
                    .filter(plan -> plan.size() < SECTIONS_OF_A_PLAN)
                    .filter(plan -> credits(plan).add(credits(List.of(section))).compareTo(MOST_CREDITS) <= 0)
                    .filter(plan -> plan.stream()
                            .allMatch(other -> Together.ruledOut(section, other).isEmpty()
                                    && Together.clashes(section, other).isEmpty()))
                    .findFirst()
                    .orElseGet(() -> {
                        plans.add(new ArrayList<>());
                        return plans.get(plans.size() - 1);
                    });
            fits.add(section);
        }
        return plans.stream()
                .filter(plan -> plan.size() == SECTIONS_OF_A_PLAN)
                .map(plan -> plan.stream()
                        .map(section -> Request.register(List.of(Entry.of(section))))
                        .toList())
                .toList();
    }

    private static BigDecimal credits(List<Attendance> some) {
        return some.stream().map(one -> one.section().course().credits()).reduce(BigDecimal.ZERO, BigDecimal::add);
    }

    private double pgbench(String name, String id) throws IOException, InterruptedException {
        Path script = folder.resolve(name + ".sql");
        Files.writeString(
                script,
                "\\set id %s%nUPDATE bench_seats SET taken = taken + 1 WHERE id = :id AND taken < capacity;%n"
                        .formatted(id));
        String clients = String.valueOf(AT_ONCE);
        String seconds = String.valueOf(SECONDS);
        Process pgbench = new ProcessBuilder(
                        "pgbench", "-n", "-M", "prepared", "-c", clients, "-j", "2", "-T", seconds, "-f", "" + script)
                .redirectErrorStream(true)
                .start();
        String said = new String(pgbench.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        Matcher tps = TPS.matcher(said);
        if (pgbench.waitFor() != 0 || !tps.find()) {
            throw new IllegalStateException(said);
        }
        return Double.parseDouble(tps.group(1));
    }

    /**
     * Each student registers for all of their plan and then drops all of it, one after the other at each place.
     *
     * @return how many seats have found an owner, or lost one, a second
     */
    private double seats(IntFunction<List<Request>> plan) throws Exception {
        AtomicLong done = new AtomicLong();
        ExecutorService students = Executors.newFixedThreadPool(AT_ONCE);
        String run = Long.toString(System.nanoTime(), Character.MAX_RADIX);
        long begun = System.nanoTime();
        long end = begun + Duration.ofSeconds(SECONDS).toNanos();
        List<Callable<Void>> all = new ArrayList<>();
        for (int i = 0; i < AT_ONCE; i++) {
            int first = i;
            all.add(() -> {
                for (int round = 0; System.nanoTime() < end; round++) {
                    for (int student = first; student < STUDENTS && System.nanoTime() < end; student += AT_ONCE) {
                        List<Request> requests = plan.apply(student);
                        done.addAndGet(decided(student, run + round, requests));
                        done.addAndGet(decided(student, run + round + "out", drops(requests)));
                    }
                }
                return null;
            });
        }
        try {
            for (Future<Void> one : students.invokeAll(all)) {
                one.get();
            }
        } finally {
            students.shutdown();
        }
        return done.get() * 1e9 / (System.nanoTime() - begun);
    }

    private static List<Request> drops(List<Request> requests) {
        return requests.stream().map(request -> Request.drop(request.set())).toList();
    }

    private int decided(int student, String id, List<Request> requests) throws Exception {
        Submission answered =
                registry.submit("student-" + (student + 1), id, requests).get();
        if (answered.lines().stream().anyMatch(line -> line.answer().outcome() != Outcome.DONE)) {
            throw new IllegalStateException("Refused: " + answered);
        }
        return requests.size();
    }
}
