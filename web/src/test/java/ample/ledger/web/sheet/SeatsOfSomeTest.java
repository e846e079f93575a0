package ample.ledger.web.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.RunningLedger;
import ample.ledger.web.RunningLedger.Ledger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What is open to a group is not claimed for a guest, who may belong to it or not. */
@ExtendWith(RunningLedger.class)
class SeatsOfSomeTest {

    private static final Pattern LINE = Pattern.compile("href=\"(/autumn-2031/section/\\d+)[^\"]*\"");

    @Test
    void aGuestIsToldWhomTheyAreOpenToAndCanSayWhetherTheyAreOneOfThem(Ledger ledger) throws Exception {
        Visitor guest = new Visitor(ledger.root());
        Matcher line = LINE.matcher(
                guest.get("/autumn-2031/browse?status=open-to-some").body());
        assertThat(line.find()).isTrue();
        String sheet = line.group(1);

        assertThat(guest.get(sheet).body())
                .containsPattern("<p class=\"say\">Open to [^.]*: \\d+ seats?\\.</p>")
                .containsPattern("href=\"/record\\?back=[^\"]*\">Say whether you are one of them")
                .doesNotContain("yours to take");

        guest.post("/record", "credits", "46", "level", "2", "programme", "mycology", "courses", "RHET 101 B");
        assertThat(guest.get(sheet).body()).doesNotContain("Say whether you are one of them");
    }
}
