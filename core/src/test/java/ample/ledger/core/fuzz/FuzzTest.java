package ample.ledger.core.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every input that fuzzing ever found, again, and a short run of Jazzer in a process of its own. {@code ./ledger fuzz} runs
 * it for as long as one likes, and leaves what it finds in the folder of kept inputs.
 */
class FuzzTest {

    private static final Path KEPT = Schedules.repository().resolve("core/src/test/resources/ample/ledger/core/fuzz");

    private static final String SECONDS = System.getProperty("ledger.fuzz.seconds", "3");

    @TempDir
    private Path corpus;

    static Stream<String> targets() {
        String only = System.getProperty("ledger.fuzz.target", "");
        return FuzzTargets.ALL.keySet().stream().filter(target -> only.isEmpty() || only.equals(target));
    }

    @ParameterizedTest
    @MethodSource("targets")
    void whatWasFoundBeforeIsRefusedInOrder(String target) throws IOException {
        try (Stream<Path> inputs = Files.list(KEPT.resolve(target))) {
            for (Path input : (Iterable<Path>) inputs::iterator) {
                FuzzTargets.ALL.get(target).accept(Files.readAllBytes(input));
            }
        }
    }

    @ParameterizedTest
    @MethodSource("targets")
    void jazzerFindsNothing(String target) throws Exception {
        seed(target);
        Process jazzer = new ProcessBuilder(List.of(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Xmx1g",
                        "-Dledger.fuzz=" + target,
                        "-cp",
                        System.getProperty("java.class.path"),
                        "com.code_intelligence.jazzer.Jazzer",
                        "--target_class=" + FuzzTargets.class.getName(),
                        "--instrumentation_includes=ample.ledger.**",
                        "--reproducer_path=" + corpus,
                        "-artifact_prefix=" + KEPT.resolve(target) + "/",
                        "-max_total_time=" + SECONDS,
                        "-max_len=100000",
                        "-timeout=100",
                        // Linux hands the parent's peak down to the child, so the heap is what is bounded.
                        "-rss_limit_mb=0",
                        corpus.toString(),
                        KEPT.resolve(target).toString()))
                .directory(Schedules.repository().toFile())
                .redirectErrorStream(true)
                .redirectOutput(
                        corpus.resolveSibling("jazzer-" + target + ".log").toFile())
                .start();

        assertThat(jazzer.waitFor(Long.parseLong(SECONDS) + 120, TimeUnit.SECONDS))
                .isTrue();
        String said = Files.readString(corpus.resolveSibling("jazzer-" + target + ".log"), StandardCharsets.ISO_8859_1);
        assertThat(jazzer.exitValue()).as(said).isZero();
        assertThat(said).containsPattern("Done [0-9]+ runs");
    }

    /** What a fuzzer would need long to come upon by itself. */
    private void seed(String target) throws IOException {
        if (target.equals("notation")) {
            Files.writeString(
                    corpus.resolve("seed"),
                    "2 of (GLAC 120 with C alongside, placement \"x\", standing 2) and credits 30");
        } else {
            byte[] section = ("\0"
                            + Files.readString(Schedules.kernel().resolve("sections.csv"))
                                    .substring(0, 900))
                    .getBytes(StandardCharsets.UTF_8);
            Files.write(
                    corpus.resolve("seed"),
                    target.equals("reader")
                            ? section
                            : FuzzTargets.zipOfKernel("notes.csv", "note".getBytes(StandardCharsets.UTF_8)));
        }
    }
}
