package ample.ledger.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What goes out reads back to the same. */
class BundleWriterTest {

    private static final ScheduleBundle KERNEL = Schedules.kernelBundle();

    @TempDir
    private Path folder;

    /** The kernel was written by hand, so its bytes are no work of the writer's. */
    @Test
    void theKernelGoesOutAsItCameIn() throws IOException {
        BundleWriter.toFolder(KERNEL.tables(), folder);

        for (TableSchema schema : BundleFormat.current().tables()) {
            assertThat(folder.resolve(schema.path()))
                    .hasSameTextualContentAs(Schedules.kernel().resolve(schema.path()));
        }
        assertThat(ScheduleBundle.read(folder).checksum()).isEqualTo(KERNEL.checksum());
    }

    @Test
    void aZipReadsBackAndHasTheSameBytesEachTime() throws IOException {
        var once = new ByteArrayOutputStream();
        var again = new ByteArrayOutputStream();
        BundleWriter.toZip(KERNEL.tables(), once);
        BundleWriter.toZip(KERNEL.tables(), again);
        Path zip = Files.write(folder.resolve("bundle.zip"), once.toByteArray());

        assertThat(once.toByteArray()).isEqualTo(again.toByteArray());
        assertThat(ScheduleBundle.read(zip).checksum()).isEqualTo(KERNEL.checksum());
    }
}
