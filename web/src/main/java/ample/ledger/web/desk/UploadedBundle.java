package ample.ledger.web.desk;

import ample.ledger.core.exchange.Fault;
import ample.ledger.core.exchange.FaultyBundleException;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.store.Uploads;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * An upload, read.
 *
 * @param bundle empty when it has faults
 * @param faults what keeps it from being posted
 */
record UploadedBundle(String id, String fileName, Optional<ScheduleBundle> bundle, List<Fault> faults) {

    static UploadedBundle read(Uploads.Upload upload) throws IOException {
        Path zip = Files.createTempFile("uploaded", ".zip");
        try {
            Files.write(zip, upload.content());
            return new UploadedBundle(upload.id(), upload.fileName(), Optional.of(ScheduleBundle.read(zip)), List.of());
        } catch (FaultyBundleException faulty) {
            List<Fault> faults = faulty.faults().stream()
                    // The path of a file that was only made to read it means nothing to anybody.
                    .map(fault ->
                            fault.file().equals(zip.toString()) ? Fault.of(upload.fileName(), fault.sentence()) : fault)
                    .toList();
            return new UploadedBundle(upload.id(), upload.fileName(), Optional.empty(), faults);
        } finally {
            Files.delete(zip);
        }
    }
}
