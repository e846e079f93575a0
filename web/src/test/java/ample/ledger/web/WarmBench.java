package ample.ledger.web;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.List;
import java.util.Locale;

/**
 * Measures Browse from the moment at which an instance says that it is ready, 20 seconds at a time, under the steady requests of {@link PagesBench}:
 * {@code ./ledger bench warm}. The first minute is to be as quick as later ones.
 */
public final class WarmBench {

    private static final int ROUNDS = 6;

    private WarmBench() {}

    /** @param arguments where the application answers, and in words how it was started */
    public static void main(String[] arguments) throws IOException {
        SteadyRequests requests = new SteadyRequests();
        warmUp(requests);
        List<String> addresses = PagesBench.BRIEFS.stream()
                .map(brief -> arguments[0] + "/autumn-2031/browse" + brief)
                .toList();
        StringBuilder medians = new StringBuilder();
        StringBuilder late = new StringBuilder();
        for (int i = 0; i < ROUNDS; i++) {
            SteadyRequests.Round round = requests.ask(addresses);
            medians.append(String.format(Locale.ENGLISH, " %.0f |", round.percentile(50)));
            late.append(String.format(Locale.ENGLISH, " %.0f |", round.percentile(95)));
        }
        System.out.printf("| %s, median, ms |%s%n", arguments[1], medians);
        System.out.printf("| %s, 95th percentile, ms |%s%n", arguments[1], late);
    }

    /** Who asks has to be warm too: it asks a server of its own for nothing. */
    private static void warmUp(SteadyRequests requests) throws IOException {
        HttpServer nothing = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        nothing.createContext("/", exchange -> {
            exchange.sendResponseHeaders(200, -1);
            exchange.close();
        });
        nothing.start();
        requests.ask(List.of("http://127.0.0.1:" + nothing.getAddress().getPort() + "/"));
        nothing.stop(0);
    }
}
