package ample.ledger.bench;

import java.io.IOException;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.ChainedOptionsBuilder;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.util.Statistics;

/** Runs one family of measurements and prints it as ratios to its base. */
public final class Bench {

    /** What the others of a family are compared with. */
    private static final Map<String, String> BASES = Map.of("posting", "copyIntoBareTables", "find", "ledger");

    private Bench() {}

    /** @param arguments the family, {@code posting}, {@code find}, {@code weave} or {@code rounds}, and after it sizes in sections */
    public static void main(String[] arguments) throws RunnerException, IOException {
        String family = arguments[0];
        if (family.equals("weave")) {
            WeaveBenchmark.measure();
            return;
        }
        if (family.equals("rounds")) {
            RoundsBenchmark.measure();
            return;
        }
        String benchmark = Character.toUpperCase(family.charAt(0)) + family.substring(1) + "Benchmark";
        ChainedOptionsBuilder options = new OptionsBuilder().include(benchmark + "\\.");
        if (arguments.length > 1) {
            options.param("sections", Arrays.copyOfRange(arguments, 1, arguments.length));
        }
        Collection<RunResult> results = new Runner(options.build()).run();
        Map<Integer, List<RunResult>> bySize = results.stream()
                .collect(Collectors.groupingBy(
                        result -> Integer.valueOf(result.getParams().getParam("sections")),
                        TreeMap::new,
                        Collectors.toList()));
        bySize.forEach((size, some) -> print(size, some, BASES.get(family)));
        if (family.equals("find")) {
            FindGrowth.measure();
            IndexSize.measure();
        }
    }

    private static void print(int size, List<RunResult> results, String base) {
        double unit = results.stream()
                .filter(result -> name(result).equals(base))
                .mapToDouble(result -> median(result))
                .findFirst()
                .orElseThrow();
        System.out.printf(Locale.ENGLISH, "%n%,d sections%n%n", size);
        System.out.println("| measured | median, ms | middle half, ms | ratio | middle half |");
        System.out.println("|---|---|---|---|---|");
        results.stream().sorted(Comparator.comparingDouble(Bench::median)).forEach(result -> {
            Statistics statistics = result.getPrimaryResult().getStatistics();
            double toMs = result.getPrimaryResult().getScoreUnit().startsWith("us") ? 1e-3 : 1;
            System.out.println(String.format(
                    Locale.ENGLISH,
                    "| %s | %,.1f | %,.1f to %,.1f | %.2f | %.2f to %.2f |",
                    name(result),
                    statistics.getPercentile(50) * toMs,
                    statistics.getPercentile(25) * toMs,
                    statistics.getPercentile(75) * toMs,
                    statistics.getPercentile(50) / unit,
                    statistics.getPercentile(25) / unit,
                    statistics.getPercentile(75) / unit));
        });
    }

    private static String name(RunResult result) {
        return result.getParams().getBenchmark().replaceFirst(".*\\.", "");
    }

    private static double median(RunResult result) {
        return result.getPrimaryResult().getStatistics().getPercentile(50);
    }
}
