package ample.ledger.web.preferences;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.RunningLedger;
import ample.ledger.web.RunningLedger.Ledger;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whoever something is kept about sees it, takes it away and deletes it, and nobody else's. */
@ExtendWith(RunningLedger.class)
class OwnDataTest {

    private static final String ADD = "/autumn-2031/week/add";

    @ParameterizedTest
    @ValueSource(strings = {"", "student-4711"})
    void isSeenTakenAwayAndDeleted(String student, Ledger ledger) throws Exception {
        Visitor other = new Visitor(ledger.root());
        other.post(ADD, "line", "40108", "back", "/");
        Visitor visitor = new Visitor(ledger.root());
        if (!student.isEmpty()) {
            visitor.signIn(student);
        }
        visitor.post(ADD, "line", "40101", "back", "/");
        visitor.post("/briefs/save", "name", "Evenings", "back", "/autumn-2031/browse?from=17:00");

        assertThat(visitor.get("/kept").body()).contains("1 plan,", "1 saved brief.");
        HttpResponse<String> all = visitor.get("/kept/all.json");
        assertThat(all.headers().firstValue("Content-Disposition").orElse("")).contains("kept.json");
        assertThat(all.body()).contains("40101", "Evenings").doesNotContain("40108");

        visitor.post("/kept/delete");
        assertThat(visitor.get("/kept/all.json").body())
                .as("not by a click alone")
                .contains("40101");
        visitor.post("/kept/delete", "sure", "yes");
        assertThat(visitor.get("/kept").body()).contains("0 plans,", "0 saved briefs.");
        assertThat(visitor.get("/kept/all.json").body()).doesNotContain("40101", "Evenings");
        assertThat(other.get("/kept/all.json").body()).contains("40108");
    }

    @Test
    void ofWhomNothingIsKeptThereIsNothing(Ledger ledger) throws Exception {
        assertThat(new Visitor(ledger.root()).get("/kept/all.json").body()).isEqualTo("{}");
    }
}
