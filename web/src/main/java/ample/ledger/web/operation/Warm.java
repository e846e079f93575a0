package ample.ledger.web.operation;

import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.term.Terms;
import java.io.IOException;
import java.lang.management.CompilationMXBean;
import java.lang.management.ManagementFactory;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/**
 * Answers the application's own mix of requests before it is ready, until it gets no faster. Then it waits until the compilers of the
 * Java machine have nothing left to do. The first student is answered as quickly as the thousandth.
 */
@Component
@ConditionalOnWebApplication
class Warm implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(Warm.class);

    /** Of what the best round answered: less gain than this is none. */
    private static final double MORE = 1.05;

    /** So many rounds in a row without gain: one alone may be held up by the compilers, or by something else on the machine. */
    private static final int ENOUGH = 3;

    private static final Duration ROUND = Duration.ofSeconds(4);

    /** The compilers are at an end where they worked no longer than this from one look to the next. */
    private static final long QUIET_MILLIS = 20;

    private static final Duration LOOK = Duration.ofSeconds(2);
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    /** How many sections of a term it looks at. They are spread over the term, since pages of one subject are alike. */
    private static final int SECTIONS = 40;

    /** What students look for; a subject is one of the term's. */
    private static final List<String> BRIEFS = List.of(
            "",
            "?subject=%s",
            "?days=only:mon,wed&from=09:00&seats=1",
            "?subject=%s&level=2",
            "?days=only:tue,thu",
            "?from=10:00&to=16:00",
            "?order=meeting");

    private final Terms terms;
    private final OperationSettings settings;
    private final Environment environment;
    private final String host;

    Warm(Terms terms, OperationSettings settings, Environment environment) {
        this.terms = terms;
        this.settings = settings;
        this.environment = environment;
        String address = environment.getProperty("server.address", "127.0.0.1");
        this.host = address.equals("0.0.0.0") || address.equals("::") ? "127.0.0.1" : address;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (settings.warm().isZero() || terms.all().isEmpty()) {
            return;
        }
        long end = System.nanoTime() + settings.warm().toNanos();
        URI root = URI.create("http://%s:%s".formatted(host, environment.getProperty("local.server.port", "8080")));
        Asker asker = new Asker(HttpClient.newHttpClient(), root, mix(), new AtomicInteger());
        // As many as may be answered at once for one address.
        int atOnce = Math.max(2, Runtime.getRuntime().availableProcessors());
        ExecutorService threads = Executors.newFixedThreadPool(atOnce);
        try {
            int best = 0;
            int rounds = 0;
            for (int without = 0; without < ENOUGH && System.nanoTime() < end; rounds++) {
                int answered = round(threads, atOnce, asker, Math.min(end, System.nanoTime() + ROUND.toNanos()));
                without = answered > best * MORE ? 0 : without + 1;
                best = Math.max(best, answered);
            }
            letTheCompilersEnd(end);
            LOG.info(
                    "Warm after {} rounds of its own requests: {} a second",
                    rounds,
                    best / Math.max(1, ROUND.toSeconds()));
        } catch (InterruptedException ending) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException failed) {
            LOG.warn("It could not warm up", failed);
        } finally {
            threads.shutdownNow();
        }
    }

    /** What was put off while requests had the processors would be compiled while the first students are answered. */
    private static void letTheCompilersEnd(long end) throws InterruptedException {
        CompilationMXBean compilers = ManagementFactory.getCompilationMXBean();
        if (compilers == null || !compilers.isCompilationTimeMonitoringSupported()) {
            return;
        }
        long before = -QUIET_MILLIS - 1;
        while (compilers.getTotalCompilationTime() - before > QUIET_MILLIS && System.nanoTime() < end) {
            before = compilers.getTotalCompilationTime();
            Thread.sleep(LOOK.toMillis());
        }
    }

    /** How many were answered until then. */
    private static int round(ExecutorService threads, int atOnce, Asker asker, long until)
            throws InterruptedException, ExecutionException {
        int answered = 0;
        Callable<Integer> asking = () -> asker.ask(until);
        for (Future<Integer> one : threads.invokeAll(Collections.nCopies(atOnce, asking))) {
            answered += one.get();
        }
        return answered;
    }

    /** What students ask for, as they do: Browse most, then sheets, courses and their week. */
    private List<String> mix() {
        List<String> mix = new ArrayList<>();
        terms.all().forEach(posted -> {
            String term = "/" + posted.edition().term();
            List<Section> sections = posted.schedule().sections();
            int step = Math.max(1, sections.size() / SECTIONS);
            for (int i = 0; i < sections.size(); i += step) {
                Course course = sections.get(i).course();
                String subject = course.code().subject().toLowerCase(Locale.ROOT);
                BRIEFS.forEach(brief -> mix.add(term + "/browse" + brief.formatted(subject)));
                mix.add(term + "/section/" + sections.get(i).entry());
                mix.add(term + "/course/" + course.code().toString().replace(' ', '-'));
                mix.add(term + "/find/preview?text=open+mon+after+noon");
                mix.add(term + "/week");
            }
        });
        return mix;
    }

    /**
     * Asks for one page after the other.
     *
     * @param next which of the mix, of all threads together
     */
    private record Asker(HttpClient client, URI root, List<String> mix, AtomicInteger next) {

        /** How many pages came until then. */
        int ask(long until) throws InterruptedException {
            int answered = 0;
            while (System.nanoTime() < until) {
                String path = mix.get(Math.floorMod(next.getAndIncrement(), mix.size()));
                try {
                    HttpRequest request = HttpRequest.newBuilder(root.resolve(path))
                            .timeout(PATIENCE)
                            .build();
                    int status = client.send(request, HttpResponse.BodyHandlers.discarding())
                            .statusCode();
                    if (status == 200) {
                        answered++;
                    } else {
                        LOG.warn("While it warmed up, {} was answered with {}", path, status);
                    }
                } catch (IOException unheard) {
                    LOG.warn("While it warmed up, {} was not answered: {}", path, unheard.toString());
                }
            }
            return answered;
        }
    }
}
