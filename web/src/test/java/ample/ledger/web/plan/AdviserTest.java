package ample.ledger.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.RunningLedger;
import ample.ledger.web.RunningLedger.Ledger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** An adviser reads a plan that a student shows them; the record with it only if the student says so, and as long as they do. */
@ExtendWith(RunningLedger.class)
class AdviserTest {

    private static final Pattern ADDRESS = Pattern.compile("href=\"(/shared/[^\"/]+)\"");
    private static final String RECORD = "Bryn’s record, as the registrar has it";

    @Test
    void theRecordIsSeenByAnAdviserToWhomItIsShownAndByNobodyElse(Ledger ledger) throws Exception {
        Visitor student = new Visitor(ledger.root());
        student.signIn("bryn");
        student.post("/autumn-2031/week/add", "line", "40101", "back", "/");
        String withRecord = shown(student, "record");
        Visitor adviser = new Visitor(ledger.root());
        adviser.signIn("adviser");
        Visitor other = new Visitor(ledger.root());
        other.signIn("odo");

        assertThat(adviser.get(withRecord).body())
                .contains(RECORD, "Mushrooms, Moulds and Yeasts", "Two books are overdue.", "Still owed:");
        for (Visitor nobody : new Visitor[] {new Visitor(ledger.root()), other}) {
            assertThat(nobody.get(withRecord).body())
                    .contains("A student shows you this plan to read")
                    .doesNotContain("Bryn", "overdue", "Still owed:");
        }

        String token = withRecord.replaceAll(".*/", "");
        student.post("/autumn-2031/week/withdraw", "token", token);
        assertThat(adviser.get(withRecord).statusCode()).isEqualTo(404);

        String without = shown(student, "none");
        assertThat(adviser.get(without).body())
                .contains("The student has not shown you their record with this plan.")
                .doesNotContain("Bryn", "overdue");
        student.post("/autumn-2031/week/withdraw", "token", without.replaceAll(".*/", ""));
        student.post("/autumn-2031/week/remove", "line", "40101", "back", "/");
    }

    /** The address at which a plan is shown from now on. */
    private static String shown(Visitor student, String with) throws Exception {
        student.post("/autumn-2031/week/share", "purpose", "reading", with, "true");
        Matcher address = ADDRESS.matcher(student.get("/autumn-2031/week").body());
        assertThat(address.find()).isTrue();
        return address.group(1);
    }
}
