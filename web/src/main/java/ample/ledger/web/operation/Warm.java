package ample.ledger.web.operation;

import ample.ledger.web.term.Terms;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/**
 * Answers the application's own mix of requests before it is ready, until it gets no faster: the compilers of the Java machine have done most of
 * their work then, and the first student is answered as quickly as the thousandth.
 */
@Component
@ConditionalOnWebApplication
class Warm implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(Warm.class);

    /** Of the time of the round before: less gain than this twice in a row is none. */
    private static final double FASTER = 0.95;

    private static final int REQUESTS_OF_A_ROUND = 60;
    private static final Duration PATIENCE = Duration.ofSeconds(20);

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
        HttpClient client = HttpClient.newHttpClient();
        List<String> mix = mix();
        long best = Long.MAX_VALUE;
        int rounds = 0;
        for (int without = 0; without < 2 && System.nanoTime() < end; rounds++) {
            long took = round(client, root, mix, end);
            without = took < best * FASTER ? 0 : without + 1;
            best = Math.min(best, took);
        }
        LOG.info("Warm after {} rounds of its own requests", rounds);
    }

    /** What students ask for, as they do: Browse most, then sheets, courses and their week. */
    private List<String> mix() {
        List<String> mix = new ArrayList<>();
        terms.all().forEach(posted -> {
            String term = "/" + posted.edition().term();
            mix.add(term + "/browse");
            mix.add(term + "/browse?days=only:mon,wed&from=09:00&seats=1");
            mix.add(term + "/browse?order=meeting");
            mix.add(term + "/find/preview?text=open+mon+after+noon");
            mix.add(term + "/week");
            posted.schedule().sections().stream().limit(3).forEach(section -> {
                mix.add(term + "/section/" + section.entry());
                mix.add(term + "/course/" + section.course().code().toString().replace(' ', '-'));
            });
        });
        return mix;
    }

    private long round(HttpClient client, URI root, List<String> mix, long end) {
        long begun = System.nanoTime();
        for (int i = 0; i < REQUESTS_OF_A_ROUND && System.nanoTime() < end; i++) {
            try {
                HttpResponse<Void> answer = client.send(
                        HttpRequest.newBuilder(root.resolve(mix.get(i % mix.size())))
                                .timeout(PATIENCE)
                                .build(),
                        HttpResponse.BodyHandlers.discarding());
                if (answer.statusCode() != 200) {
                    LOG.warn("While it warmed up, a page was answered with {}", answer.statusCode());
                }
            } catch (IOException unheard) {
                LOG.warn("While it warmed up, a page was not answered: {}", unheard.toString());
            } catch (InterruptedException ending) {
                Thread.currentThread().interrupt();
                return System.nanoTime() - begun;
            }
        }
        return System.nanoTime() - begun;
    }
}
