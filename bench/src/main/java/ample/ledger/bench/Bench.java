package ample.ledger.bench;

import java.util.Collection;
import java.util.Comparator;
import java.util.Locale;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.util.Statistics;

/** Runs one family of measurements and prints it as ratios to its first peer. */
public final class Bench {

    private Bench() {}

    /** @param arguments the family: {@code posting} */
    public static void main(String[] arguments) throws RunnerException {
        String family = arguments[0];
        String benchmark = Character.toUpperCase(family.charAt(0)) + family.substring(1) + "Benchmark";
        Collection<RunResult> results =
                new Runner(new OptionsBuilder().include(benchmark + "\\.").build()).run();
        RunResult base = results.stream()
                .filter(result -> result.getParams().getBenchmark().contains(".copyIntoBare"))
                .findFirst()
                .orElseThrow();
        double unit = statistics(base).getPercentile(50);
        System.out.println();
        System.out.println("| measured | median, ms | middle half, ms | ratio |");
        System.out.println("|---|---|---|---|");
        results.stream()
                .sorted(Comparator.comparingDouble(result -> statistics(result).getPercentile(50)))
                .forEach(result -> System.out.println(String.format(
                        Locale.ENGLISH,
                        "| %s | %,.0f | %,.0f to %,.0f | %.2f |",
                        result.getParams().getBenchmark().replaceFirst(".*\\.", ""),
                        statistics(result).getPercentile(50),
                        statistics(result).getPercentile(25),
                        statistics(result).getPercentile(75),
                        statistics(result).getPercentile(50) / unit)));
    }

    private static Statistics statistics(RunResult result) {
        return result.getPrimaryResult().getStatistics();
    }
}
