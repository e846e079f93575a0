package ample.ledger.web.registrar;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Answer.Outcome;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Refusal.Reason;
import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.Submission;
import ample.ledger.core.schedule.Opening;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.web.ClockPage;
import ample.ledger.web.registrar.BelievablePlans.Planned;
import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicLong;

/**
 * Students register for the demo's autumn as their openings come: {@code ./ledger rush}. Each submits a believable plan: courses that they may take, at
 * times that do not clash. Of what is full they ask for a place on the waitlist. Most ask as a program does; one in twenty uses the application's pages. Who
 * hears no answer asks again under the same name.
 *
 * <p>In the end three things are counted, from the answers alone and from what the registrar says that each has: seats sold twice, confirmed registrations
 * lost, and places on waitlists that are out of order.
 */
public final class Rush {

    private static final int AT_ONCE = 24;
    private static final int TRIED = 60;

    private final BelievablePlans plans;
    private final String address;
    private final String key;
    private final Schedule schedule;
    private final PostedSchedules posted;
    private final Map<String, List<Submission.Line>> heard = new ConcurrentHashMap<>();
    private final ConcurrentLinkedQueue<Double> seconds = new ConcurrentLinkedQueue<>();
    private final Map<SeatPool, PoolHistory> histories = new ConcurrentHashMap<>();
    private final AtomicLong unheard = new AtomicLong();
    private final AtomicLong atScreens = new AtomicLong();

    private Rush(URI application, String address, String key, Path bundle) {
        this.address = address;
        this.key = key;
        this.schedule = ScheduleBundle.read(bundle).schedule();
        this.posted = new PostedSchedules(List.of(schedule));
        this.plans = new BelievablePlans(application, schedule);
    }

    private final ThreadLocal<Registrar> registrars = ThreadLocal.withInitial(this::registrar);

    /**
     * Runs it. When all have a plan, it makes the file that is named last.
     *
     * @param arguments where the application answers, the registrar's address and key, the bundle of the term, how many students, and the file
     */
    public static void main(String[] arguments) throws Exception {
        Rush rush = new Rush(URI.create(arguments[0]), arguments[1], arguments[2], Path.of(arguments[3]));
        System.exit(rush.run(Integer.parseInt(arguments[4]), Path.of(arguments[5])) ? 0 : 1);
    }

    private boolean run(int students, Path begins) throws Exception {
        ExecutorService all = Executors.newFixedThreadPool(AT_ONCE);
        long planning = System.nanoTime();
        List<Planned> planned = planned(students, all);
        System.out.printf(
                "%,d students have a plan, after %d s%n",
                planned.size(), (System.nanoTime() - planning) / 1_000_000_000);
        Files.createFile(begins);
        long begun = System.nanoTime();
        for (Opening opening : schedule.lists().openings().stream()
                .sorted(Comparator.comparing(Opening::from))
                .toList()) {
            List<Planned> these = planned.stream()
                    .filter(plan -> plan.opening().equals(opening))
                    .toList();
            moveClock(opening);
            List<Future<?>> asked = new ArrayList<>();
            these.forEach(plan -> asked.add(all.submit(() -> submit(plan))));
            for (Future<?> one : asked) {
                one.get();
            }
            System.out.printf("  %s: %,d submitted%n", opening.name(), these.size());
        }
        double lasted = (System.nanoTime() - begun) / 1e9;
        all.shutdown();
        return report(planned, lasted);
    }

    private Registrar registrar() {
        return RegistrarAt.of(address, key);
    }

    private void moveClock(Opening opening) throws Exception {
        for (int tries = 0; ; tries++) {
            try {
                ClockPage.moveTo(URI.create(address), opening.from().toString());
                return;
            } catch (IOException | IllegalStateException away) {
                if (tries == TRIED) {
                    throw away;
                }
                Thread.sleep(1_000);
            }
        }
    }

    private List<Planned> planned(int students, ExecutorService all) throws Exception {
        List<Future<Optional<Planned>>> asked = new ArrayList<>();
        for (int i = 1; i <= students; i++) {
            int number = i;
            asked.add(all.submit(() -> plans.of(number, registrars.get())));
        }
        List<Planned> planned = new ArrayList<>();
        for (Future<Optional<Planned>> one : asked) {
            one.get().ifPresent(planned::add);
        }
        return planned;
    }

    /** The plan, and then places on the waitlists of what was full. */
    private void submit(Planned plan) {
        List<Submission.Line> lines = new ArrayList<>(ask(plan, "plan", plan.requests()));
        List<Request> full = lines.stream()
                .filter(line -> line.answer().isRefusedFor(Reason.FULL_WAITLIST_OPEN))
                .map(line -> Request.wait(line.request().set()))
                .toList();
        if (!full.isEmpty()) {
            lines.addAll(ask(plan, "wait", full));
        }
        heard.put(plan.name(), lines);
    }

    private List<Submission.Line> ask(Planned plan, String id, List<Request> requests) {
        long asked = System.nanoTime();
        List<Submission.Line> lines = plan.screen().isPresent()
                ? onPages(plan.screen().get(), id, id.equals("plan") ? List.of() : requests)
                : asProgram(plan.name(), id, requests);
        long now = System.nanoTime();
        seconds.add((now - asked) / 1e9);
        lines.forEach(line -> keep(line, asked, now));
        return lines;
    }

    private void keep(Submission.Line line, long asked, long now) {
        if (line.answer().outcome() == Outcome.DONE) {
            line.request().set().forEach(entry -> history(entry).took(asked, now));
        }
        line.answer().places().forEach(place -> history(place.part()).queued(place.place(), asked, now));
    }

    private PoolHistory history(Entry entry) {
        return histories.computeIfAbsent(
                entry.in(posted).orElseThrow().section().pool(), absent -> new PoolHistory());
    }

    private List<Submission.Line> asProgram(String student, String id, List<Request> requests) {
        while (true) {
            try {
                return registrars.get().submit(student, id, requests).lines();
            } catch (RegistrarAwayException away) {
                unheard.incrementAndGet();
                pause();
            }
        }
    }

    /**
     * Until the page tells the answers, whatever does not answer meanwhile.
     *
     * @param some none for what Readiness proposes
     */
    private List<Submission.Line> onPages(StudentAtScreen screen, String id, List<Request> some) {
        atScreens.incrementAndGet();
        List<Request> requests = some;
        while (true) {
            try {
                if (requests.isEmpty()) {
                    requests = screen.ready();
                }
                screen.submit(id, requests, "/ready");
                Optional<List<Submission.Line>> told = screen.answered(id, requests);
                if (told.isPresent()) {
                    return told.get();
                }
            } catch (IOException away) {
                unheard.incrementAndGet();
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
            pause();
        }
    }

    private boolean report(List<Planned> planned, double lasted) {
        Map<String, Integer> answers = new TreeMap<>();
        heard.values().stream().flatMap(List::stream).forEach(line -> {
            Answer answer = line.answer();
            if (answer.outcome() == Outcome.REFUSED) {
                answer.refusals().stream()
                        .map(Refusal::code)
                        .distinct()
                        .forEach(code -> answers.merge("refused: " + code, 1, Integer::sum));
            } else {
                answers.merge(answer.outcome().code(), 1, Integer::sum);
            }
        });
        long requests = heard.values().stream().mapToLong(List::size).sum();
        System.out.printf(
                "%n%,d requests of %,d students in %.1f s, %,.0f a second; %,d submissions on pages; %,d times no answer was heard, and it was asked again%n",
                requests, heard.size(), lasted, requests / lasted, atScreens.get(), unheard.get());
        double[] times =
                seconds.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        System.out.printf(
                Locale.ENGLISH,
                "an answer took %.3f s in the median, %.3f s at the 95th percentile, %.1f s at most%n%n",
                times[times.length / 2],
                times[times.length * 95 / 100],
                times[times.length - 1]);
        answers.forEach((what, count) -> System.out.printf("%8d  %s%n", count, what));
        int oversold = oversold();
        int lost = lost();
        int broken =
                histories.values().stream().mapToInt(PoolHistory::outOfOrder).sum();
        System.out.printf(
                "%nseats oversold: %d%nconfirmed registrations lost, or had without one: %d%nplaces on waitlists out of order: %d%n",
                oversold, lost, broken);
        return oversold + lost + broken == 0 && heard.size() == planned.size();
    }

    /** Seats that no order of the requests explains. */
    private int oversold() {
        return histories.entrySet().stream()
                .mapToInt(pool -> Math.max(0, pool.getValue().mostAtOnce() - Math.max(0, free(pool.getKey()))))
                .sum();
    }

    private static int free(SeatPool pool) {
        return pool.capacity() - pool.count().enrolled() - pool.count().promised();
    }

    /** Between what students were answered, and what the registrar says that they have. */
    private int lost() {
        Registrar registrar = registrar();
        int lost = 0;
        for (Map.Entry<String, List<Submission.Line>> one : heard.entrySet()) {
            Set<Entry> confirmed = new LinkedHashSet<>();
            one.getValue().stream()
                    .filter(line -> line.answer().outcome() == Outcome.DONE)
                    .forEach(line -> confirmed.addAll(line.request().set()));
            Registration has = registered(registrar, one.getKey());
            Set<Entry> difference = new HashSet<>(confirmed);
            has.registered().forEach(entry -> {
                if (!difference.remove(entry)) {
                    difference.add(entry);
                }
            });
            lost += difference.size();
        }
        return lost;
    }

    private static Registration registered(Registrar registrar, String student) {
        while (true) {
            try {
                return registrar.registration(student).orElseThrow();
            } catch (RegistrarAwayException away) {
                pause();
            }
        }
    }

    /** Before something that was put off is tried again. */
    static void pause() {
        try {
            Thread.sleep(300);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
