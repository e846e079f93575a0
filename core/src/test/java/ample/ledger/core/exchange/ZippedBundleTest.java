package ample.ledger.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import ample.ledger.core.fixtures.Schedules;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Bundles in zips, honest and hostile. */
class ZippedBundleTest {

    @TempDir
    private Path folder;

    private final Map<String, byte[]> files = new LinkedHashMap<>();

    @BeforeEach
    void takeTheKernel() throws IOException {
        try (var kernel = Files.list(Schedules.kernel())) {
            for (Path file : (Iterable<Path>) kernel::iterator) {
                files.put(file.getFileName().toString(), Files.readAllBytes(file));
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "halvermere/"})
    void readsAZipWithItsFilesAtTheTopOrInOneFolder(String prefix) throws IOException {
        assertThat(ScheduleBundle.read(zip(prefix)).schedule().sections())
                .isEqualTo(Schedules.kernelSchedule().sections());
    }

    @ParameterizedTest
    @ValueSource(strings = {"../notes.csv", "/etc/notes.csv", "a/../../notes.csv", "..\\notes.csv", "C:notes.csv"})
    void refusesNamesThatClimb(String name) throws IOException {
        files.put(name, new byte[0]);

        assertThat(faultOf(zip("")))
                .isEqualTo(name + ": Its name leads out of the zip; files lie at the top or in one folder.");
    }

    @Test
    void refusesOneFileTwice() throws IOException {
        files.put("copy/notes.csv", new byte[0]);

        assertThat(faultOf(zip(""))).isEqualTo("copy/notes.csv: Two files in the zip have this name.");
    }

    @Test
    void refusesACrowd() throws IOException {
        for (int i = 0; i < 300; i++) {
            files.put("more-" + i + ".csv", new byte[0]);
        }

        assertThat(faultOf(zip(""))).contains("It holds more than 200 files; a bundle has 41.");
    }

    /** Fifty million blanks pack to about fifty thousand bytes. */
    @Test
    void refusesABombBeforeItIsUnpacked() throws IOException {
        byte[] bomb = new byte[50_000_000];
        Arrays.fill(bomb, (byte) ' ');
        System.arraycopy(files.get("notes.csv"), 0, bomb, 0, files.get("notes.csv").length);
        files.put("notes.csv", bomb);

        assertThat(faultOf(zip(""))).startsWith("notes.csv: It holds more than ");
    }

    @Test
    void refusesAFieldOfAbsurdSizeAndALineOfEndlessColumns() throws IOException {
        files.put(
                "notes.csv",
                ("note,subject,number,entry,text\n1,GLAC,120,,\"" + "x".repeat(30_000_000) + "\"\n")
                        .getBytes(StandardCharsets.UTF_8));
        files.put("campuses.csv", ",".repeat(2_000_000).getBytes(StandardCharsets.UTF_8));

        assertThat(faultOf(inFolder()))
                .contains("notes.csv: It cannot be read as CSV", "campuses.csv: It cannot be read as CSV");
    }

    @Test
    void refusesWhatIsNoZip() throws IOException {
        Path text = Files.writeString(folder.resolve("bundle.zip"), "PK, or so I say");

        assertThat(faultOf(text)).contains("It is neither a folder nor a zip");
    }

    @Test
    void saysNoMoreThanAThousandFaults() throws IOException {
        files.put(
                "campuses.csv",
                ("campus,name,remote\n" + "X,,perhaps\n".repeat(2_000)).getBytes(StandardCharsets.UTF_8));

        assertThat(catchThrowableOfType(FaultyBundleException.class, () -> ScheduleBundle.read(zip("")))
                        .faults())
                .hasSize(1_000);
    }

    private static String faultOf(Path bundle) {
        return catchThrowableOfType(FaultyBundleException.class, () -> ScheduleBundle.read(bundle))
                .getMessage();
    }

    private Path inFolder() throws IOException {
        for (Map.Entry<String, byte[]> file : files.entrySet()) {
            Files.write(folder.resolve(file.getKey()), file.getValue());
        }
        return folder;
    }

    private Path zip(String prefix) throws IOException {
        Path path = folder.resolve("bundle.zip");
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(path))) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(prefix + file.getKey()));
                zip.write(file.getValue());
                zip.closeEntry();
            }
        }
        return path;
    }
}
