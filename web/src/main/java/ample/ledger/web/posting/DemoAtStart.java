package ample.ledger.web.posting;

import ample.ledger.core.exchange.PlanJson;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.Editions;
import ample.ledger.web.LedgerSettings;
import ample.ledger.web.guest.KeptStudents;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.stereotype.Component;

/**
 * Posts the demo before the first page is served: the bundles that {@code postings.csv} lists in the folder that the
 * option {@code ledger.demo} names, each unless it was posted at an earlier start. What somebody posted since then stays
 * current. Students of whom a plan lies in the folder {@code plans} beside it begin with that plan.
 */
@Component
class DemoAtStart implements InitializingBean {

    private final Editions editions;
    private final KeptStudents students;
    private final String folder;

    DemoAtStart(Editions editions, KeptStudents students, LedgerSettings settings) {
        this.editions = editions;
        this.students = students;
        this.folder = settings.demo();
    }

    @Override
    public void afterPropertiesSet() throws IOException {
        if (folder.isBlank()) {
            return;
        }
        try (CsvReader<NamedCsvRecord> postings =
                CsvReader.builder().ofNamedCsvRecord(Path.of(folder, "postings.csv"))) {
            postings.forEach(this::post);
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
        Path plans = Path.of(folder).resolveSibling("plans");
        if (Files.exists(plans)) {
            try (DirectoryStream<Path> files = Files.newDirectoryStream(plans, "*.json")) {
                for (Path file : files) {
                    String student = file.getFileName().toString().replace(".json", "");
                    students.begin(student, PlanJson.read(Files.readString(file), "1"));
                }
            }
        }
    }

    private void post(NamedCsvRecord posting) {
        // The list says the checksum, so that a bundle posted already need not be read.
        if (!editions.wasPosted(new TermCode(posting.getField("term")), posting.getField("checksum"))) {
            editions.post(
                    ScheduleBundle.read(Path.of(folder, posting.getField("bundle"))),
                    posting.getField("note"),
                    "the demo",
                    Instant.parse(posting.getField("posted_at")));
        }
    }
}
