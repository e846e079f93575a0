package ample.ledger.demo;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.exchange.BundleWriter;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The largest bundle there is, in the heap that is promised for it. */
class LargeBundleTest {

    @TempDir
    private Path folder;

    /** Run by the test in a process of its own, with a bounded heap. */
    public static void main(String[] arguments) {
        System.out.print(
                ScheduleBundle.read(Path.of(arguments[0])).schedule().sections().size());
    }

    @Test
    void aHundredThousandSectionsAreReadWithin512Megabytes() throws Exception {
        Path zip = folder.resolve("large.zip");
        try (OutputStream out = Files.newOutputStream(zip)) {
            BundleWriter.toZip(new DemoBundles(Schedules.kernel(), 2031).autumn(100_000), out);
        }
        Path said = folder.resolve("said.txt");

        Process reading = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Xmx512m",
                        "-cp",
                        System.getProperty("java.class.path"),
                        LargeBundleTest.class.getName(),
                        zip.toString())
                .redirectErrorStream(true)
                .redirectOutput(said.toFile())
                .start();

        assertThat(reading.waitFor(5, TimeUnit.MINUTES)).isTrue();
        assertThat(Files.readString(said)).matches("(99|100),?[0-9]{3}");
    }
}
