package ample.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.InChromium.Tabs;
import ample.ledger.web.RunningLedger.Ledger;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import com.microsoft.playwright.options.WaitUntilState;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is seen while a page is still arriving. */
@ExtendWith({RunningLedger.class, InChromium.class})
class FirstViewInTheBrowserTest {

    private static final int PARTS = 9;

    /** Notes what moves by itself (Layout Instability, a draft report of the W3C's community group), from where to where. */
    private static final String WATCH = """
            const at = (box) => `${box.x} ${box.y} ${box.width} ${box.height}`;
            /** The empty room that the list keeps for rows yet to come makes way for them, and nobody sees it move. */
            const isRoom = (node) => !node?.textContent.trim() && node?.closest?.("tbody.gap, tbody.hole");
            const watch = new PerformanceObserver(() => {});
            watch.observe({ type: "layout-shift", buffered: true });
            const frames = async (count) => {
              for (let frame = 0; frame < count; frame++) {
                await new Promise(requestAnimationFrame);
              }
            };
            /** Until what has come is drawn, however long the machine takes for that: a busy one brings even the first part in pieces. */
            window.drawn = async () => {
              let known = -1;
              for (let same = 0; same < 20; await frames(1)) {
                const now = document.getElementsByTagName("*").length;
                same = now === known ? same + 1 : 0;
                known = now;
              }
              watch.takeRecords();
            };
            window.movedSince = async () => {
              await frames(5);
              return watch.takeRecords()
                .map((entry) => ({ entry, seen: entry.sources.filter((source) => !isRoom(source.node)) }))
                .filter(({ seen }) => seen.length)
                .map(({ entry, seen }) => `${entry.value}: ` + seen.map((source) =>
                  `${source.node?.textContent.trim().slice(0, 60)}, ${at(source.previousRect)} to ${at(source.currentRect)}`));
            };
            """;

    @ParameterizedTest
    @CsvSource({"browse, 1280", "browse, 360", "browse?subject=tide&days=only:mon, 1280", "week, 360"})
    void nothingMovesWhenAPageArrivesInTwoParts(String address, int width, Tabs tabs, Ledger ledger) throws Exception {
        try (SlowWay way = new SlowWay(ledger.root())) {
            Page page = tabs.open(new Browser.NewContextOptions().setViewportSize(width, 1000));
            page.addInitScript(WATCH);
            // Once for the styles and fonts: then what has been read is drawn while the rest is awaited.
            way.rest.release();
            page.navigate(way.root() + "/autumn-2031/" + address);
            for (int part = 1; part < PARTS; part++) {
                way.first = (double) part / PARTS;
                page.navigate("about:blank");
                page.navigate(
                        way.root() + "/autumn-2031/" + address,
                        new Page.NavigateOptions().setWaitUntil(WaitUntilState.COMMIT));
                page.evaluate("drawn()");
                way.rest.release();
                page.waitForLoadState(LoadState.LOAD);

                assertThat((List<?>) page.evaluate("movedSince()"))
                        .as("what moved when the rest came after %d of %d parts", part, PARTS)
                        .isEmpty();
            }
        }
    }

    /** A way to the application on which the end of each page waits until it is let through. */
    private static final class SlowWay implements AutoCloseable {

        private final URI application;
        private final HttpClient client = HttpClient.newHttpClient();
        private final HttpServer server;
        private final ExecutorService threads = Executors.newCachedThreadPool();

        /** A permit for the rest of each page. */
        private final Semaphore rest = new Semaphore(0);

        /** The share of a page that comes first, from 0 to 1. */
        private volatile double first = 1;

        SlowWay(URI application) throws IOException {
            this.application = application;
            server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
            server.setExecutor(threads);
            server.createContext("/", this::pass);
            server.start();
        }

        String root() {
            return "http://127.0.0.1:" + server.getAddress().getPort();
        }

        private void pass(HttpExchange exchange) throws IOException {
            try (exchange) {
                var request = HttpRequest.newBuilder(
                                application.resolve(exchange.getRequestURI().toString()))
                        .build();
                var answer = client.send(request, BodyHandlers.ofInputStream());
                String type = answer.headers().firstValue("Content-Type").orElse("text/plain");
                exchange.getResponseHeaders().set("Content-Type", type);
                answer.headers()
                        .firstValue("Cache-Control")
                        .ifPresent(cache -> exchange.getResponseHeaders().set("Cache-Control", cache));
                exchange.sendResponseHeaders(answer.statusCode(), 0);
                try (var body = answer.body();
                        OutputStream out = exchange.getResponseBody()) {
                    // What scripts fetch for the page is no page of its own.
                    boolean page =
                            "navigate".equals(exchange.getRequestHeaders().getFirst("Sec-Fetch-Mode"));
                    if (!page || !type.startsWith("text/html")) {
                        body.transferTo(out);
                        return;
                    }
                    byte[] whole = body.readAllBytes();
                    int cut = (int) (whole.length * first);
                    out.write(whole, 0, cut);
                    out.flush();
                    if (!rest.tryAcquire(20, TimeUnit.SECONDS)) {
                        throw new IOException("Nobody asked for the rest of the page");
                    }
                    out.write(whole, cut, whole.length - cut);
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }

        @Override
        public void close() {
            server.stop(0);
            threads.shutdownNow();
        }
    }
}
