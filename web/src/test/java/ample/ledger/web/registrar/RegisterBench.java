package ample.ledger.web.registrar;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.plan.CompleteSets;
import ample.ledger.core.plan.Pick;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.plan.Standing;
import ample.ledger.core.readiness.Foretold;
import ample.ledger.core.readiness.Readiness;
import ample.ledger.core.readiness.Steps;
import ample.ledger.core.registrar.Answer.Outcome;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.registrar.Submission;
import ample.ledger.core.registrar.rules.Registrant;
import ample.ledger.core.registrar.rules.Rules;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseRules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.StolenTime;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.IntFunction;
import java.util.regex.Pattern;

/**
 * Measures registering: {@code ./ledger bench register}. Beside it runs PostgreSQL's own pgbench on the same server with as many connections: the least
 * that a seat can cost, {@code UPDATE … WHERE taken < capacity}. The institution is that of the demo, with room for everybody.
 */
public final class RegisterBench {

    private static final int CONNECTIONS = 16;
    private static final int SECONDS = 10;
    private static final int STUDENTS = 2_000;
    private static final int COURSES_OF_A_PLAN = 8;
    private static final int READINGS = 2_000;
    private static final Pattern TPS = Pattern.compile("tps = ([0-9.]+)");

    private final String address;
    private final String key;
    private final Schedule schedule;
    private final Path folder;

    private RegisterBench(String address, String key, Path bundle, Path folder) {
        this.address = address;
        this.key = key;
        this.schedule = ScheduleBundle.read(bundle).schedule();
        this.folder = folder;
    }

    /** @param arguments the registrar's address, its key, the bundle that it has, and a folder to write scripts in */
    public static void main(String[] arguments) throws Exception {
        new RegisterBench(arguments[0], arguments[1], Path.of(arguments[2]), Path.of(arguments[3])).measure();
    }

    private void measure() throws Exception {
        List<Entry> open = schedule.sections().stream()
                .filter(section -> section.companion().isEmpty() && !section.cancelled())
                .filter(section -> schedule.companionsOf(section).isEmpty())
                .filter(section -> section.restrictions().isEmpty())
                .filter(section -> section.course().rules().equals(CourseRules.NONE))
                .map(section ->
                        new Entry(schedule.term().code().text(), section.entry().digits()))
                .toList();
        System.out.printf(
                "%d connections, %d s each, %d sections open to everybody%n%n", CONNECTIONS, SECONDS, open.size());
        System.out.println("| what | a second | of pgbench's | meanwhile |");
        System.out.println("|---|---|---|---|");
        double contested = pgbench("contested", "1");
        double spread = pgbench("spread", "random(1, " + open.size() + ")");
        // Once to warm up: a program that has just been started is slower.
        registering("warm", student -> open.get(student % open.size()));
        double one = registering("registrations and drops, one section", student -> open.get(0));
        System.out.println(row("the same, of pgbench contested", one, contested, ""));
        double many = registering("registrations and drops, all sections", student -> open.get(student % open.size()));
        System.out.println(row("the same, of pgbench spread", many, spread, ""));
        readiness();
    }

    private static String row(String what, double perSecond, double of, String meanwhile) {
        return String.format(
                Locale.ENGLISH, "| %s | %,.0f | %.0f %% | %s |", what, perSecond, 100 * perSecond / of, meanwhile);
    }

    private double pgbench(String name, String id) throws IOException, InterruptedException {
        Path script = folder.resolve(name + ".sql");
        Files.writeString(
                script,
                "\\set id %s%nUPDATE bench_seats SET taken = taken + 1 WHERE id = :id AND taken < capacity;%n"
                        .formatted(id));
        try (StolenTime stolen = new StolenTime()) {
            Process pgbench = new ProcessBuilder(
                            "pgbench",
                            "-n",
                            "-M",
                            "prepared",
                            "-c",
                            String.valueOf(CONNECTIONS),
                            "-j",
                            "2",
                            "-T",
                            String.valueOf(SECONDS),
                            "-f",
                            script.toString())
                    .redirectErrorStream(true)
                    .start();
            String said = new String(pgbench.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            var tps = TPS.matcher(said);
            if (pgbench.waitFor() != 0 || !tps.find()) {
                throw new IllegalStateException(said);
            }
            double perSecond = Double.parseDouble(tps.group(1));
            System.out.println(row("pgbench, " + name, perSecond, perSecond, stolen.inWords()));
            return perSecond;
        }
    }

    /** Each student registers and drops, again and again, one after the other at each connection. */
    private double registering(String what, IntFunction<Entry> section) throws Exception {
        AtomicLong done = new AtomicLong();
        ExecutorService students = Executors.newFixedThreadPool(CONNECTIONS);
        String run = Long.toString(System.nanoTime(), Character.MAX_RADIX);
        try (StolenTime stolen = new StolenTime()) {
            long begun = System.nanoTime();
            long end = begun + Duration.ofSeconds(SECONDS).toNanos();
            List<Callable<Void>> all = new ArrayList<>();
            for (int i = 0; i < CONNECTIONS; i++) {
                int first = i;
                all.add(() -> {
                    Registrar registrar = registrar();
                    for (int round = 0; ; round++) {
                        for (int student = first; student < STUDENTS; student += CONNECTIONS) {
                            if (System.nanoTime() > end) {
                                return null;
                            }
                            List<Entry> set = List.of(section.apply(student));
                            Request request = round % 2 == 0 ? Request.register(set) : Request.drop(set);
                            Submission answered =
                                    registrar.submit("student-" + (student + 1), run + round, List.of(request));
                            if (answered.lines().get(0).answer().outcome() != Outcome.DONE) {
                                throw new IllegalStateException("Refused: " + answered);
                            }
                            done.incrementAndGet();
                        }
                    }
                });
            }
            for (Future<Void> one : students.invokeAll(all)) {
                one.get();
            }
            double perSecond = done.get() * 1e9 / (System.nanoTime() - begun);
            System.out.println(row(what, perSecond, perSecond, stolen.inWords()));
            return perSecond;
        } finally {
            students.shutdown();
            clear(run, section);
        }
    }

    /** Whoever still has the section gives it up. */
    private void clear(String run, IntFunction<Entry> section) {
        Registrar registrar = registrar();
        for (int student = 0; student < STUDENTS; student++) {
            registrar.submit(
                    "student-" + (student + 1), run + "end", List.of(Request.drop(List.of(section.apply(student)))));
        }
    }

    private Registrar registrar() {
        return new HttpRegistrar(
                new RegistrarSettings(address, key, Duration.ofSeconds(20), Duration.ofSeconds(2), false),
                Clock.systemUTC());
    }

    /** How long Readiness of a plan of eight courses takes in core, remedies and all. */
    private void readiness() {
        PostedSchedules posted = new PostedSchedules(List.of(schedule));
        StudentFile file = registrar().student("student-7").orElseThrow();
        Registrant who = Registrant.of(file, posted);
        Rules rules = new Rules(posted, Duration.ofHours(36), name -> Optional.empty());
        Instant now = Instant.parse("2031-06-20T12:00:00Z");
        Random dice = new Random(8);
        double[] millis = new double[READINGS];
        for (int round = 0; round < 2; round++) {
            for (int i = 0; i < READINGS; i++) {
                PlannedWeek week = week(posted, dice);
                Registration nothing = Registration.nothing(now);
                long begun = System.nanoTime();
                Readiness.of(
                        Steps.of(week, nothing, one -> one.section().pool().capacity()),
                        new Foretold(posted, who, nothing, rules::posted),
                        now);
                millis[i] = (System.nanoTime() - begun) / 1e6;
            }
        }
        Arrays.sort(millis);
        System.out.printf(
                Locale.ENGLISH,
                "%nReadiness of a plan of %d courses, chosen at random, with remedies: median %.2f ms, 95th percentile %.2f ms%n",
                COURSES_OF_A_PLAN,
                millis[READINGS / 2],
                millis[READINGS * 95 / 100]);
    }

    private PlannedWeek week(PostedSchedules posted, Random dice) {
        List<Course> courses = new ArrayList<>(schedule.courses());
        Collections.shuffle(courses, dice);
        List<Pick> picks = new ArrayList<>();
        int taken = 0;
        for (Course course : courses) {
            List<List<Section>> sets = CompleteSets.of(schedule, course.code());
            if (!sets.isEmpty() && taken < COURSES_OF_A_PLAN) {
                taken++;
                sets.get(dice.nextInt(sets.size()))
                        .forEach(section ->
                                picks.add(new Pick(schedule.term().code(), section.entry(), Standing.TAKEN)));
            }
        }
        return PlannedWeek.of(
                Plan.empty("1", schedule.term().season().code(), "Plan A").adding(picks), List.of(), posted);
    }
}
