package ample.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.RunningLedger.Ledger;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What pages are drawn and moved with, over HTTP. */
@ExtendWith(RunningLedger.class)
class AssetsTest {

    private static final HttpClient CLIENT = HttpClient.newHttpClient();
    private static final Pattern ON_A_PAGE = Pattern.compile("(?:href|src)=\"(/assets/[^\"]+)\"");
    private static final Pattern IN_STYLES = Pattern.compile("url\\(\"?(fonts/[^)\"]+)");
    private static final Pattern IN_SCRIPTS = Pattern.compile("from \"\\./([^\"]+)\"");

    @Test
    void whateverAPageAsksForMayBeKeptAndComesPacked(Ledger ledger) throws Exception {
        Set<URI> all = found(ON_A_PAGE, text(get(ledger, "/autumn-2031/browse")), ledger.root());
        URI styles = ending(all, ".css");
        URI main = ending(all, "/main.js");
        Set<URI> fonts = found(IN_STYLES, text(CLIENT.send(request(styles), BodyHandlers.ofByteArray())), styles);

        // What is asked for beforehand is what the styles ask for: another address would be fetched twice.
        assertThat(all.stream().filter(address -> address.getPath().endsWith(".woff2")))
                .containsExactlyInAnyOrderElementsOf(fonts)
                .hasSize(3);
        all.addAll(found(IN_SCRIPTS, text(CLIENT.send(request(main), BodyHandlers.ofByteArray())), main));
        assertThat(all).hasSizeGreaterThan(12).allSatisfy(address -> {
            HttpResponse<byte[]> answer = CLIENT.send(request(address), BodyHandlers.ofByteArray());
            assertThat(answer.statusCode()).isEqualTo(200);
            assertThat(header(answer, "Cache-Control"))
                    .contains("max-age=31536000")
                    .contains("immutable");
            if (!address.getPath().endsWith(".woff2")) {
                assertThat(header(answer, "Content-Encoding")).isEqualTo("gzip");
            }
        });
    }

    @Test
    void whatIsAskedForByItsPlainNameIsAskedForAgainEachTime(Ledger ledger) throws Exception {
        HttpResponse<byte[]> answer = get(ledger, "/assets/mark.svg");

        assertThat(header(answer, "Cache-Control")).isEqualTo("no-cache");
        assertThat(answer.headers().firstValue("Last-Modified")).isEmpty();
        assertThat(text(answer)).contains("<svg");
    }

    private static HttpResponse<byte[]> get(Ledger ledger, String path) throws Exception {
        return CLIENT.send(request(URI.create(ledger.root() + path)), BodyHandlers.ofByteArray());
    }

    private static HttpRequest request(URI address) {
        return HttpRequest.newBuilder(address).header("Accept-Encoding", "gzip").build();
    }

    private static String header(HttpResponse<?> answer, String name) {
        return answer.headers().firstValue(name).orElse("");
    }

    private static String text(HttpResponse<byte[]> answer) throws IOException {
        try (var body = new ByteArrayInputStream(answer.body());
                var unpacked = header(answer, "Content-Encoding").equals("gzip") ? new GZIPInputStream(body) : body) {
            return new String(unpacked.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static Set<URI> found(Pattern pattern, String text, URI where) {
        return pattern.matcher(text)
                .results()
                .map(match -> where.resolve(match.group(1)))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private static URI ending(Set<URI> addresses, String end) {
        return addresses.stream()
                .filter(address -> address.getPath().endsWith(end))
                .findFirst()
                .orElseThrow();
    }
}
