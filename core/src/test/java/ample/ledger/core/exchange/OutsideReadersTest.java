package ample.ledger.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * What we write, read by programs that others wrote: bundles by npm's {@code datapackage} and {@code tableschema} (the
 * Tabular Data Package and Table Schema specifications), linked data by the TypeScript compiler with {@code schema-dts} (the
 * published vocabulary of schema.org). The build installs them beside their scripts.
 */
class OutsideReadersTest {

    private static final Path SCRIPTS = Schedules.repository().resolve("core/src/test/outside");

    @TempDir
    private Path folder;

    @Test
    void acceptOurBundles() throws Exception {
        Path demo = Schedules.repository().resolve("demo/bundles");
        Path written = folder.resolve("written");
        BundleWriter.toFolder(Schedules.kernelBundle().tables(), written);

        assertThat(verdicts(List.of(
                        Schedules.kernel(),
                        written,
                        demo.resolve("autumn-2031-3"),
                        demo.resolve("quarter-autumn-2031"))))
                .containsExactly("accepted", "accepted", "accepted", "accepted");
    }

    /** Those of our broken bundles that the descriptor alone shows to be broken. */
    @Test
    void refuseTheBrokenOnes() throws Exception {
        List<Path> broken = new ArrayList<>();
        List<String> what = new ArrayList<>();
        for (BrokenBundle each : BrokenBundle.all()) {
            if (each.machine()) {
                Path bundle = folder.resolve("broken-" + broken.size());
                each.make(bundle);
                broken.add(bundle);
                what.add(each.toString());
            }
        }

        List<String> verdicts = verdicts(broken);

        assertThat(verdicts).hasSameSizeAs(broken).hasSizeGreaterThan(30);
        for (int i = 0; i < verdicts.size(); i++) {
            assertThat(verdicts.get(i)).as(what.get(i)).startsWith("refused");
        }
    }

    @Test
    void findOnlyWordsOfTheVocabularyInOurLinkedData() throws Exception {
        Schedule kernel = Schedules.kernelSchedule();
        List<Section> unlike = Stream.of("40220", "40197", "40155", "40211", "40162")
                .map(entry -> kernel.section(new EntryNumber(entry)).orElseThrow())
                .toList();
        List<String> documents = new ArrayList<>();
        unlike.forEach(section -> documents.add(
                LinkedData.of(section, kernel, Schedules.readings(kernel).of(section, section.pool()))));
        documents.add(documents.get(0).replace("courseMode", "courseMood"));

        assertThat(run("jsonld.mjs", String.join("\n", documents)))
                .as("only the last has a word that is not in it")
                .hasSize(1)
                .allMatch(line -> line.startsWith(documents.size() + ": ") && line.contains("courseMood"));
    }

    private static List<String> verdicts(List<Path> bundles) throws Exception {
        return run(
                "bundles.mjs",
                String.join("\n", bundles.stream().map(Path::toString).toList()) + "\n");
    }

    private static List<String> run(String script, String input) throws IOException, InterruptedException {
        Path output = Files.createTempFile("outside", ".txt");
        Process node = new ProcessBuilder("node", SCRIPTS.resolve(script).toString())
                .redirectOutput(output.toFile())
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        try (OutputStream in = node.getOutputStream()) {
            in.write(input.getBytes(StandardCharsets.UTF_8));
        }
        assertThat(node.waitFor(3, TimeUnit.MINUTES)).isTrue();
        assertThat(node.exitValue()).isZero();
        List<String> lines = Files.readAllLines(output);
        Files.delete(output);
        return lines;
    }
}
