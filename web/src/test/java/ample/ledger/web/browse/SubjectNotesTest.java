package ample.ledger.web.browse;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.RunningLedger;
import ample.ledger.web.RunningLedger.Ledger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What must be read before one chooses in a subject is said once in a list, and wherever one looks at one of its sections. */
@ExtendWith(RunningLedger.class)
class SubjectNotesTest {

    private static final String ICE = "Sign the risk form before you travel to a field day";
    private static final String WORDS = "If you miss the first class without telling us";

    @Test
    void standAtTheHeadOfTheirSubjectOnCourseAndSheet(Ledger ledger) throws Exception {
        Visitor visitor = new Visitor(ledger.root());
        String list = visitor.get("/autumn-2031/browse?subject=glac,numb,rhet&whole=yes")
                .body();

        assertThat(list).containsOnlyOnce(ICE).containsOnlyOnce(WORDS);
        assertThat(list.indexOf(ICE)).isLessThan(list.indexOf("GLAC 120"));
        assertThat(list.indexOf(WORDS))
                .isBetween(list.lastIndexOf("id=\"course-NUMB"), list.indexOf("id=\"course-RHET-101\"") + 2_000);
        assertThat(visitor.get("/autumn-2031/browse?subject=glac&order=open-seats")
                        .body())
                .as("where lines are not under their subjects")
                .doesNotContain(ICE);
        assertThat(visitor.get("/autumn-2031/section/40176").body()).contains("All of Glaciology:", ICE);
        assertThat(visitor.get("/autumn-2031/course/GLAC-120").body()).contains("All of Glaciology:", ICE);
        assertThat(visitor.get("/autumn-2031/section/40101").body()).doesNotContain(ICE);
    }
}
