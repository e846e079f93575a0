package ample.ledger.web;

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
    public static void main(String[] arguments) {
        SteadyRequests requests = new SteadyRequests();
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
}
