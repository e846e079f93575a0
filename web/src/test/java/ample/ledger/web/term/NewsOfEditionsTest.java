package ample.ledger.web.term;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.RunningLedger;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** What one instance posts, another shows soon after, and no request fails meanwhile. */
@ExtendWith(RunningLedger.class)
class NewsOfEditionsTest {

    private static final HttpClient CLIENT = HttpClient.newHttpClient();
    private static final Instant NOW = Instant.parse("2031-06-17T09:00:00Z");

    @TempDir
    private Path folder;

    @Test
    void theIndexIsSwappedUnderRunningRequests(RunningLedger.Ledger ledger) throws Exception {
        ledger.editions().post(kernel("first", "How Tides Work"), "First", "desk", NOW);
        await(ledger, "How Tides Work");

        ledger.editions().post(kernel("second", "Tides Corrected"), "Second", "desk", NOW);
        assertThat(await(ledger, "Tides Corrected")).isZero();

        ledger.editions().makeCurrent(new TermCode("autumn-2078"), 1);
        assertThat(await(ledger, "How Tides Work")).isZero();
    }

    /** Asks without a pause until the page shows it; how many answers were no page: none, once the term is there. */
    private static int await(RunningLedger.Ledger ledger, String title) throws IOException, InterruptedException {
        var request = HttpRequest.newBuilder(URI.create(ledger.root() + "/autumn-2078/browse?subject=tide&number=110"))
                .timeout(Duration.ofSeconds(10))
                .build();
        int failures = 0;
        Instant end = Instant.now().plusSeconds(20);
        while (Instant.now().isBefore(end)) {
            HttpResponse<String> response = CLIENT.send(request, HttpResponse.BodyHandlers.ofString());
            if (response.statusCode() != 200 && response.statusCode() != 302) {
                failures++;
            }
            if (response.body().contains(title)) {
                return failures;
            }
        }
        throw new AssertionError("“" + title + "” did not show within twenty seconds");
    }

    private ScheduleBundle kernel(String name, String title) throws IOException {
        Path copy = Files.createDirectories(folder.resolve(name));
        try (Stream<Path> files = Files.list(Schedules.kernel())) {
            for (Path file : (Iterable<Path>) files::iterator) {
                Files.writeString(
                        copy.resolve(file.getFileName().toString()),
                        Files.readString(file)
                                .replace("autumn-2031", "autumn-2078")
                                .replace("How Tides Work", title));
            }
        }
        return ScheduleBundle.read(copy);
    }
}
