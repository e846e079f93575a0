package ample.ledger.web.desk;

import ample.ledger.core.edition.PostingChecks;
import ample.ledger.core.edition.Warning;
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
 * An upload, read and looked over.
 *
 * @param bundle empty when it has faults
 * @param faults what keeps it from being posted
 * @param warnings what is probably not meant; empty when there are faults
 */
record UploadedBundle(
        String id, String fileName, Optional<ScheduleBundle> bundle, List<Fault> faults, List<Warning> warnings) {

    static UploadedBundle read(Uploads.Upload upload) throws IOException {
        Path zip = Files.createTempFile("uploaded", ".zip");
        try {
            Files.write(zip, upload.content());
            ScheduleBundle bundle = ScheduleBundle.read(zip);
            return new UploadedBundle(
                    upload.id(),
                    upload.fileName(),
                    Optional.of(bundle),
                    List.of(),
                    PostingChecks.warningsOf(bundle.schedule()));
        } catch (FaultyBundleException faulty) {
            List<Fault> faults = faulty.faults().stream()
                    // The path of a file that was only made to read it means nothing to anybody.
                    .map(fault ->
                            fault.file().equals(zip.toString()) ? Fault.of(upload.fileName(), fault.sentence()) : fault)
                    .toList();
            return new UploadedBundle(upload.id(), upload.fileName(), Optional.empty(), faults, List.of());
        } finally {
            Files.delete(zip);
        }
    }
}
