package ample.ledger.web.preferences;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.RunningLedger;
import ample.ledger.web.RunningLedger.Ledger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which campus is one's own is asked where it first matters, and once. */
@ExtendWith(RunningLedger.class)
class HomeCampusTest {

    private static final String QUESTION = "Which campus is yours?";
    private static final String ELSEWHERE = "not your campus";

    @ParameterizedTest
    @CsvSource({"upper-fell, true", "tidewall, false", "'', false"})
    void isAskedOnceAnsweredAndThenKept(String answer, boolean elsewhere, Ledger ledger) throws Exception {
        Visitor visitor = new Visitor(ledger.root());
        assertThat(week(visitor)).doesNotContain(QUESTION);
        visitor.post("/autumn-2031/week/add", "line", "40101", "back", "/autumn-2031/week");
        assertThat(week(visitor)).contains(QUESTION);

        assertThat(visitor.post("/preferences/home", "home", answer, "back", "/autumn-2031/week")
                        .statusCode())
                .isEqualTo(302);

        assertThat(week(visitor)).doesNotContain(QUESTION);
        assertThat(visitor.get("/autumn-2031/browse?entry=40101").body().contains(ELSEWHERE))
                .isEqualTo(elsewhere);
    }

    /** Of a student the registrar knows it. */
    @Test
    void isNotAskedOfWhomTheRegistrarKnowsItOf(Ledger ledger) throws Exception {
        Visitor student = new Visitor(ledger.root());
        student.signIn("student-12");
        student.post("/autumn-2031/week/add", "line", "40101", "back", "/autumn-2031/week");

        assertThat(week(student)).contains("40101").doesNotContain(QUESTION);
        student.post("/autumn-2031/week/remove", "line", "40101", "back", "/");
    }

    private static String week(Visitor visitor) throws Exception {
        return visitor.get("/autumn-2031/week").body();
    }
}
