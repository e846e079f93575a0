package ample.ledger.web.registrar;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.StolenTime;
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
import java.io.IOException;
import java.net.URI;
import java.nio.file.Path;
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

/**
 * Measures registering from outside, the second part of {@code ./ledger bench register}: what the registrar's interface and the application's pages
 * add to a decision, beside a page that changes nothing; and Readiness in core. The institution is that of the demo, with room for everybody.
 */
public final class RegisterBench {

    private static final int AT_ONCE = 16;
    private static final int SECONDS = 10;

    private static final int MOST_TRIES = 5;
    private static final int MOST_ROUNDS = 8;

    /** So many rounds in a row that are no faster: one alone may be slow for another reason. */
    private static final int ENOUGH = 2;

    /** A round counts as faster from this many times the best one before it. */
    private static final double FASTER = 1.1;

    /** Enough that nobody's history is longer than a student's is. */
    private static final int STUDENTS = 400;

    private static final int COURSES_OF_A_PLAN = 8;
    private static final int READINGS = 3_000;

    private final URI application;
    private final String address;
    private final String key;
    private final Schedule schedule;
    private final List<List<Entry>> open;

    private RegisterBench(URI application, String address, String key, Path bundle) {
        this.application = application;
        this.address = address;
        this.key = key;
        this.schedule = ScheduleBundle.read(bundle).schedule();
        this.open = schedule.sections().stream()
                .filter(section -> section.companion().isEmpty() && !section.cancelled())
                .filter(section -> schedule.companionsOf(section).isEmpty())
                .filter(section -> section.restrictions().isEmpty())
                .filter(section -> section.course().rules().equals(CourseRules.NONE))
                .map(section -> List.of(
                        new Entry(schedule.term().code().text(), section.entry().digits())))
                .toList();
    }

    /** @param arguments where the application answers, the registrar's address and key, and the bundle of the term */
    public static void main(String[] arguments) throws Exception {
        new RegisterBench(URI.create(arguments[0]), arguments[1], arguments[2], Path.of(arguments[3])).measure();
    }

    private void measure() throws Exception {
        System.out.printf("%n%d at once, %d s each, %d students%n%n", AT_ONCE, SECONDS, STUDENTS);
        System.out.println("| what | a second | of the page's | meanwhile |");
        System.out.println("|---|---|---|---|");
        List<Does> registering = new ArrayList<>();
        for (int i = 0; i < AT_ONCE; i++) {
            Registrar registrar = registrar();
            registering.add((student, round) -> atRegistrar(registrar, student, round));
        }
        warmUp(registering);
        try (StolenTime stolen = new StolenTime()) {
            double perSecond = round(registering);
            System.out.println(row("registrations and drops, at the registrar's interface", perSecond, 0, stolen));
        }
        pages();
        readiness();
    }

    private static String row(String what, double perSecond, double of, StolenTime stolen) {
        String share = of == 0 ? "" : String.format(Locale.ENGLISH, "%.0f %%", 100 * perSecond / of);
        return String.format(Locale.ENGLISH, "| %s | %,.0f | %s | %s |", what, perSecond, share, stolen.inWords());
    }

    /** What a student does, once in each round. */
    private interface Does {

        void once(int student, int round) throws Exception;
    }

    /** Programs that have just been started do it more often from round to round, until all they need is compiled. */
    private void warmUp(List<Does> all) throws Exception {
        double most = 0;
        int noFaster = 0;
        for (int round = 0; round < MOST_ROUNDS && noFaster < ENOUGH; round++) {
            double now = round(all);
            noFaster = now < most * FASTER ? noFaster + 1 : 0;
            most = Math.max(most, now);
        }
    }

    /** How often it is done a second, by all who do it at once, each for its own students. */
    private double round(List<Does> all) throws Exception {
        AtomicLong done = new AtomicLong();
        ExecutorService students = Executors.newFixedThreadPool(AT_ONCE);
        long begun = System.nanoTime();
        long end = begun + Duration.ofSeconds(SECONDS).toNanos();
        List<Callable<Void>> asking = new ArrayList<>();
        for (int i = 0; i < AT_ONCE; i++) {
            int first = i;
            asking.add(() -> {
                for (int round = 0; System.nanoTime() < end; round++) {
                    // Whoever is in gets out in the same round: each begins without a seat.
                    for (int student = first; student < STUDENTS && System.nanoTime() < end; student += AT_ONCE) {
                        all.get(first).once(student, 2 * round);
                        all.get(first).once(student, 2 * round + 1);
                        done.addAndGet(2);
                    }
                }
                return null;
            });
        }
        try {
            for (Future<Void> one : students.invokeAll(asking)) {
                one.get();
            }
        } finally {
            students.shutdown();
        }
        return done.get() * 1e9 / (System.nanoTime() - begun);
    }

    private Request request(int student, int round) {
        List<Entry> set = open.get(student % open.size());
        return round % 2 == 0 ? Request.register(set) : Request.drop(set);
    }

    private static String id() {
        return "bench-" + Long.toString(System.nanoTime(), Character.MAX_RADIX);
    }

    private void atRegistrar(Registrar registrar, int student, int round) {
        Submission answered = registrar.submit("student-" + (student + 1), id(), List.of(request(student, round)));
        if (answered.lines().get(0).answer().outcome() != Outcome.DONE) {
            throw new IllegalStateException("Refused: " + answered);
        }
    }

    private Registrar registrar() {
        return RegistrarAt.of(address, key);
    }

    /** A page that is posted, with the answers written on it, beside the same page when nothing is posted. */
    private void pages() throws Exception {
        List<StudentAtScreen> screens = new ArrayList<>();
        // Not those whose history the registrar's interface has made long.
        int first = 2 * STUDENTS;
        for (int student = 0; student < STUDENTS; student++) {
            StudentAtScreen screen =
                    new StudentAtScreen(application, schedule.term().code().text());
            screen.signIn("student-" + (first + student));
            screen.plan(open.get(student % open.size()));
            screens.add(screen);
        }
        Does reads = (student, round) -> patiently(() -> screens.get(student).get("/autumn-2031/ready"));
        Does submits = (student, round) -> {
            // Under its name nothing is asked twice.
            String id = id();
            String page = patiently(() -> screens.get(student).submit(id, List.of(request(student, round)), "/ready"));
            if (!page.contains(round % 2 == 0 ? "Done: you are registered." : "Done: dropped.")) {
                throw new IllegalStateException("Not done: " + page);
            }
        };
        warmUp(Collections.nCopies(AT_ONCE, reads));
        double reading;
        try (StolenTime stolen = new StolenTime()) {
            reading = round(Collections.nCopies(AT_ONCE, reads));
            System.out.println(row("Readiness, read", reading, reading, stolen));
        }
        warmUp(Collections.nCopies(AT_ONCE, submits));
        try (StolenTime stolen = new StolenTime()) {
            double submitting = round(Collections.nCopies(AT_ONCE, submits));
            System.out.println(row("Readiness, submitted and the answers written on it", submitting, reading, stolen));
        }
    }

    /** Again where it is put off: the time goes on meanwhile. */
    private static String patiently(Callable<String> page) throws Exception {
        for (int tries = 1; ; tries++) {
            try {
                return page.call();
            } catch (IOException putOff) {
                if (tries == MOST_TRIES) {
                    throw putOff;
                }
            }
        }
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
