package ample.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The application is started again when it has ended for want of memory, and for nothing else. */
class KeepRunningTest {

    @TempDir
    private Path folder;

    @Test
    void wantOfMemoryIsNoEnd() throws Exception {
        Process process = keepRunning("echo run >>runs; [ $(wc -l <runs) -lt 3 ] && exit 3; exit 5");

        assertThat(process.waitFor()).isEqualTo(5);
        assertThat(Files.readAllLines(folder.resolve("runs"))).hasSize(3);
    }

    @Test
    void aStartThatFailsIsAnEnd() throws Exception {
        assertThat(keepRunning("echo run >>runs; exit 1").waitFor()).isEqualTo(1);
        assertThat(Files.readAllLines(folder.resolve("runs"))).hasSize(1);
    }

    @Test
    void whoIsToldToEndEndsAndSoDoesWhatRuns() throws Exception {
        Process process =
                keepRunning("trap 'echo ended >>runs; exit 3' TERM; echo run >>runs; while :; do sleep 0.1; done");
        // What runs and the file of its process are begun at the same time: either can be there first.
        while (!isWritten("runs") || !isWritten("pid")) {
            Thread.sleep(20);
        }
        long child = Long.parseLong(Files.readString(folder.resolve("pid")).strip());
        process.destroy();

        assertThat(process.waitFor()).isEqualTo(3);
        assertThat(Files.readAllLines(folder.resolve("runs"))).containsExactly("run", "ended");
        assertThat(ProcessHandle.of(child)).isEmpty();
    }

    private boolean isWritten(String name) throws IOException {
        Path file = folder.resolve(name);
        return Files.exists(file) && Files.readString(file).endsWith("\n");
    }

    private Process keepRunning(String command) throws IOException {
        return new ProcessBuilder(
                        Schedules.repository().resolve("tools/keep-running.sh").toString(),
                        "pid",
                        "bash",
                        "-c",
                        command)
                .directory(folder.toFile())
                .start();
    }
}
