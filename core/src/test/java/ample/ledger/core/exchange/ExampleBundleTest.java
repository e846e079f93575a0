package ample.ledger.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.edition.PostingChecks;
import ample.ledger.core.schedule.Schedule;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ExampleBundleTest {

    @TempDir
    private Path folder;

    @Test
    void canBePostedAsItIs() throws Exception {
        ExampleBundle.main(new String[] {folder.resolve("mine").toString()});

        Schedule schedule = ScheduleBundle.read(folder.resolve("mine")).schedule();

        assertThat(schedule.sections()).hasSize(3);
        assertThat(PostingChecks.warningsOf(schedule)).isEmpty();
    }
}
