package ample.ledger.web.guest;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.registrar.StudentFile.CourseOnFile;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What the institution knows fills a record that names no courses; what a student has written of their courses stays. */
class KeptRecordTest {

    private static final KeptRecord KNOWN = KeptRecord.of(new StudentFile(
            "maris",
            "Maris",
            Instant.EPOCH,
            BigDecimal.valueOf(46),
            2,
            Optional.of("glaciology"),
            Optional.of("tidewall"),
            Optional.empty(),
            List.of(
                    new CourseOnFile("GLAC 120", Optional.of("A-"), Optional.empty()),
                    new CourseOnFile("RHET 240", Optional.empty(), Optional.empty())),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of()));

    @Test
    void theInstitutionsRecordReadsAsOne() {
        assertThat(KNOWN.courses()).isEqualTo("GLAC 120 A-\nRHET 240");
        assertThat(KNOWN.credits()).isEqualTo("46");
        assertThat(KNOWN.level()).isEqualTo("2");
        assertThat(KNOWN.programme()).isEqualTo("glaciology");
    }

    @Test
    void coursesThatWereWrittenStay() {
        assertThat(new KeptRecord("GLAC 120 B", "", "", "", "").says(KNOWN)).isTrue();
        assertThat(new KeptRecord("", "46", "2", "", "glaciology").says(KNOWN)).isFalse();
        assertThat(new KeptRecord("", "46", "", "", "").says(KeptRecord.NONE)).isTrue();
        assertThat(KeptRecord.NONE.says(KNOWN)).isFalse();
    }
}
