package ample.ledger.bench;

import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.weave.Demand.Want;
import ample.ledger.core.weave.Watch;
import ample.ledger.core.weave.Weave;
import ample.ledger.core.weave.WeaveModel;
import ample.ledger.core.weave.WeaveRequest;
import ample.ledger.core.weave.Weaver;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.OptionalLong;
import java.util.Random;
import java.util.function.Supplier;

/**
 * The best twenty weeks, and how many there are, beside OR-Tools CP-SAT and Choco on the same model in the same run. What the weaver takes
 * for the best holds everything, from the posted sections on; what the others take begins with a model in which sections of the same times are one
 * already. A want is one course or, where none has so many complete sets, one of several.
 */
final class WeaveBenchmark {

    private static final int[] SECTIONS = {2_400, 20_000};
    private static final int[] WANTS = {4, 6, 8};
    private static final int[] SETS = {10, 20, 40};
    private static final int BEST = 20;
    private static final int SHOTS = 21;
    private static final Duration LIMIT = Duration.ofSeconds(20);
    private static final Duration COUNT_LIMIT = Duration.ofSeconds(5);
    private static final long SEED = 7;

    private WeaveBenchmark() {}

    static void measure() {
        System.out.println(
                "| sections | wants × sets | options that differ | weeks | best 20, ms | middle half | count, ms | CP-SAT best 20, ms | Choco best 20, ms | times as fast as the quicker | CP-SAT count, ms | Choco count, ms |");
        System.out.println("|---|---|---|---|---|---|---|---|---|---|---|---|");
        for (int sections : SECTIONS) {
            Schedule schedule = FindBenchmark.index(sections).schedule();
            PostedSchedules posted = new PostedSchedules(List.of(schedule));
            for (int wants : WANTS) {
                for (int sets : SETS) {
                    row(schedule, posted, wants, sets);
                }
            }
        }
    }

    private static void row(Schedule schedule, PostedSchedules posted, int wants, int sets) {
        WeaveRequest request = WeaveRequest.of(wants(schedule, posted, wants, sets), WeaveObjective.WISHES);
        SeasonCode season = schedule.term().season().code();
        WeaveModel model = Weaver.model(request, season, posted);
        Weaver.Woven woven = Weaver.weave(request, season, posted, BEST, stopAfter(LIMIT));
        double[] shots = new double[SHOTS];
        for (int shot = -SHOTS; shot < SHOTS; shot++) {
            shots[Math.max(0, shot)] = timed(() -> new Weaver(request, season, posted).best(BEST, stopAfter(LIMIT)))
                    .milliseconds();
        }
        double[] sorted = Arrays.stream(shots).sorted().toArray();
        double median = sorted[sorted.length / 2];
        List<Long> best = woven.best().stream().map(Weave::points).toList();
        Timed<List<Long>> cpSat = timed(() -> new CpSatPeer(model).best(BEST, LIMIT));
        Timed<List<Long>> choco = timed(() -> new ChocoPeer(model).best(BEST, LIMIT));
        check("CP-SAT", best, cpSat.result());
        check("Choco", best, choco.result());
        Timed<OptionalLong> cpSatCount = timed(() -> new CpSatPeer(model).count(COUNT_LIMIT));
        Timed<OptionalLong> chocoCount = timed(() -> new ChocoPeer(model).count(COUNT_LIMIT));
        check("CP-SAT", woven, cpSatCount.result());
        check("Choco", woven, chocoCount.result());
        double quicker = Math.min(
                cpSat.result().isEmpty() && !best.isEmpty() ? Double.MAX_VALUE : cpSat.milliseconds(),
                choco.result().isEmpty() && !best.isEmpty() ? Double.MAX_VALUE : choco.milliseconds());
        System.out.printf(
                Locale.ENGLISH,
                "| %,d | %d × %d | %d | %s%s | %.2f%s | %.2f to %.2f | %s | %s | %s | %s | %s | %s |%n",
                schedule.sections().size(),
                wants,
                sets,
                model.options().size() - 1,
                woven.count().exact() ? "" : "more than ",
                String.format(Locale.ENGLISH, "%,d", woven.count().choices()),
                median,
                woven.proven() ? "" : " (not proven)",
                sorted[sorted.length / 4],
                sorted[sorted.length * 3 / 4],
                woven.count().exact() ? figure(counting(model)) : "> " + LIMIT.toMillis(),
                best.isEmpty() || !cpSat.result().isEmpty() ? figure(cpSat.milliseconds()) : "> " + LIMIT.toMillis(),
                best.isEmpty() || !choco.result().isEmpty() ? figure(choco.milliseconds()) : "> " + LIMIT.toMillis(),
                quicker == Double.MAX_VALUE
                        ? "more than " + figure(LIMIT.toMillis() / median)
                        : figure(quicker / median),
                cpSatCount.result().isPresent() ? figure(cpSatCount.milliseconds()) : "> " + COUNT_LIMIT.toMillis(),
                chocoCount.result().isPresent() ? figure(chocoCount.milliseconds()) : "> " + COUNT_LIMIT.toMillis());
    }

    /** The median time of counting alone. */
    private static double counting(WeaveModel model) {
        int[] ones = new int[model.options().size()];
        Arrays.fill(ones, 1);
        double[] shots = new double[5];
        for (int shot = 0; shot < shots.length; shot++) {
            shots[shot] = timed(() -> model.compatibility().count(ones, stopAfter(LIMIT)))
                    .milliseconds();
        }
        Arrays.sort(shots);
        return shots[shots.length / 2];
    }

    /** Courses with about so many complete sets each, or several together; always the same of one schedule. */
    private static List<Want> wants(Schedule schedule, PostedSchedules posted, int wants, int sets) {
        List<Course> courses = new ArrayList<>(schedule.courses());
        Collections.shuffle(courses, new Random(SEED));
        List<Want> found = new ArrayList<>();
        List<Course> together = new ArrayList<>();
        int have = 0;
        for (Course course : courses) {
            int of = (int) posted.setsOf(course.code(), schedule).stream()
                    .filter(set -> set.stream()
                            .noneMatch(attendance -> attendance.section().untimed()))
                    .count();
            if (of > 0 && have + of <= sets + sets / 10 && found.size() < wants) {
                together.add(course);
                have += of;
                if (have >= sets) {
                    found.add(new Want(together, true));
                    together = new ArrayList<>();
                    have = 0;
                }
            }
        }
        if (found.size() < wants) {
            throw new IllegalStateException("There are not %d wants of %d sets".formatted(wants, sets));
        }
        return found;
    }

    private static void check(String peer, List<Long> best, List<Long> others) {
        if (!others.isEmpty() && !best.equals(others)) {
            throw new IllegalStateException(
                    "The weaver's best are %s, those of %s are %s".formatted(best, peer, others));
        }
    }

    private static void check(String peer, Weaver.Woven woven, OptionalLong others) {
        if (others.isPresent()
                && woven.count().exact()
                && others.getAsLong() != woven.count().choices()) {
            throw new IllegalStateException(
                    "The weaver counts %s, %s counts %d".formatted(woven.count(), peer, others.getAsLong()));
        }
    }

    private static Watch stopAfter(Duration limit) {
        long until = System.nanoTime() + limit.toNanos();
        return new Watch() {
            @Override
            public boolean stopped() {
                return System.nanoTime() - until > 0;
            }

            @Override
            public void reached(double share) {
                // Nobody waits for it.
            }
        };
    }

    private record Timed<T>(T result, double milliseconds) {}

    private static <T> Timed<T> timed(Supplier<T> work) {
        long start = System.nanoTime();
        T result = work.get();
        return new Timed<>(result, (System.nanoTime() - start) / 1e6);
    }

    private static String figure(double value) {
        return String.format(Locale.ENGLISH, value < 100 ? "%.1f" : "%,.0f", value);
    }
}
