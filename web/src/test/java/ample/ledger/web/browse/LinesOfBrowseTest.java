package ample.ledger.web.browse;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.RunningLedger;
import ample.ledger.web.RunningLedger.Ledger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What a line of Browse says beside the section itself. */
@ExtendWith(RunningLedger.class)
class LinesOfBrowseTest {

    @Test
    void whatClashesWithMyWeekSaysSo(Ledger ledger) throws Exception {
        Visitor visitor = new Visitor(ledger.root());
        visitor.post("/autumn-2031/week/add", "line", "40129", "back", "/autumn-2031/week");

        assertThat(visitor.get("/autumn-2031/browse?entry=40723").body())
                .contains("clashes with TIDE 214 T1 of your week");
        assertThat(visitor.get("/autumn-2031/browse?entry=40716").body()).doesNotContain("of your week</small>");
    }

    @Test
    void whatIsOneClassUnderTwoSubjectsSaysSo(Ledger ledger) throws Exception {
        Visitor visitor = new Visitor(ledger.root());

        assertThat(visitor.get("/autumn-2031/browse?entry=40220").body()).contains("the same class as LIMN 244d F3e");
        assertThat(visitor.get("/autumn-2031/section/40220").body())
                .contains(">GLAC 240d F3e</b> is the code, explained part by part");
    }

    @Test
    void aWovenWeekShowsWhatHasNoSetTimeToo(Ledger ledger) throws Exception {
        String week = new Visitor(ledger.root())
                .get("/autumn-2031/week?weave=1&want=MYCO+101")
                .body();

        assertThat(week).containsPattern("(?s)<ul class=\"untimed\">\\s*<li[^>]*class=\"preview-of.{1,400}MYCO 101");
    }
}
