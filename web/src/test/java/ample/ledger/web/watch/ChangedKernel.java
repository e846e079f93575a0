package ample.ledger.web.watch;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.store.Editions;
import ample.ledger.web.LedgerInstance;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.stream.Stream;

/** The kernel of the demo with text of some of its tables exchanged, as the next edition. */
final class ChangedKernel {

    private ChangedKernel() {}

    /** @param changes a file, what it says, and what it is to say, in turn */
    static void post(LedgerInstance ledger, Path folder, String... changes) throws IOException {
        Path next = Files.createTempDirectory(folder, "edition");
        try (Stream<Path> files = Files.list(Schedules.kernel())) {
            for (Path file : files.toList()) {
                String text = Files.readString(file);
                for (int i = 0; i < changes.length; i += 3) {
                    if (file.getFileName().toString().equals(changes[i])) {
                        assertThat(text).contains(changes[i + 1]);
                        text = text.replace(changes[i + 1], changes[i + 2]);
                    }
                }
                Files.writeString(next.resolve(file.getFileName()), text);
            }
        }
        ledger.context()
                .getBean(Editions.class)
                .post(ScheduleBundle.read(next), "", "a test", Instant.parse("2031-06-17T09:00:00Z"));
    }
}
