package ample.ledger.web.guest;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.standin.SimulatedRegistrar;
import org.junit.jupiter.api.Test;

/** What the institution knows fills a record that names no courses; what a student has written of their courses stays. */
class KeptRecordTest {

    private static final KeptRecord KNOWN =
            KeptRecord.of(new SimulatedRegistrar().student("maris").orElseThrow());

    @Test
    void theInstitutionsRecordReadsAsOne() {
        assertThat(KNOWN.courses()).startsWith("GLAC 120 A-\nTIDE 110 B+\n").endsWith("CART 360\nRHET 240");
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
