package ample.ledger.web.opening;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.RunningLedger;
import ample.ledger.web.RunningLedger.Ledger;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Tue 17 June 2031, about 9:41: registration has opened for some, and opens for the others within the week. */
@ExtendWith(RunningLedger.class)
class OpeningTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            wren   | Registration opens Fri 20 Jun, 8:00, in 2 days | Registration opens for you Fri 20 Jun, 8:00, in 2 days, for new students. | With 1 credit more it would be Wed 18 Jun, 8:00.
            maris  | Open to you until Fri 14 Nov                  | Registration opened for you Mon 16 Jun, 8:00, for 30 to 59 credits.       | With 14 credits more it would be Thu 12 Jun, 8:00.
            tamsin | Registration opens Wed 18 Jun, 8:00, in 22 h   | Registration opens for you Wed 18 Jun, 8:00, in 22 h, for 1 to 29 credits. | With 6 credits more it would be Mon 16 Jun, 8:00.
            """)
    void theHeadSaysItInAFewWordsAndThePageWhy(
            String student, String head, String sentence, String sooner, Ledger ledger) throws Exception {
        Visitor visitor = signedIn(student, ledger);

        for (String path : List.of("/autumn-2031/browse", "/autumn-2031/week", "/record", "/preferences")) {
            assertThat(visitor.get(path).body()).as(path).contains(">" + head + "<");
        }
        assertThat(visitor.get("/autumn-2031/opening").body())
                .contains(
                        sentence,
                        sooner,
                        "your line</small>",
                        "You may register for 18 credits by yourself. More than 18");
    }

    @Test
    void aHoldIsSaidEverywhereThatItMatters(Ledger ledger) throws Exception {
        Visitor visitor = signedIn("bryn", ledger);
        String hold = "The library stops you from registering, since Mon 2 Jun. Two books are overdue.";
        visitor.post("/autumn-2031/week/add", "line", "40101", "back", "/autumn-2031/week");

        assertThat(visitor.get("/autumn-2031/browse").body()).contains(">A hold stops registering<");
        assertThat(visitor.get("/autumn-2031/opening").body()).contains(hold, "The library desk lifts it");
        assertThat(visitor.get("/autumn-2031/week").body()).contains(hold).doesNotContain("this week will stand");
        visitor.post("/autumn-2031/week/remove", "line", "40101", "back", "/autumn-2031/week");
    }

    @Test
    void aGuestSeesTheOpeningsAndIsAskedForTheirCredits(Ledger ledger) throws Exception {
        Visitor guest = new Visitor(ledger.root());

        assertThat(guest.get("/autumn-2031/opening").body())
                .contains("90 credits and more", "Tue 10 Jun, 8:00", "Add your record to see your own line")
                .doesNotContain("your line</small>", "for you");
        guest.post("/record", "credits", "95");
        assertThat(guest.get("/autumn-2031/opening").body())
                .contains("Registration opened for you Tue 10 Jun, 8:00, for 90 credits and more.")
                .doesNotContain("Add your record");
    }

    private static Visitor signedIn(String student, Ledger ledger) throws Exception {
        Visitor visitor = new Visitor(ledger.root());
        visitor.signIn(student, "/");
        return visitor;
    }
}
