package ample.ledger.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.RunningLedger;
import ample.ledger.web.RunningLedger.Ledger;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Opening, deadlines and exams of a plan stand together, in My week and in the calendar file of whoever asks for them. */
@ExtendWith(RunningLedger.class)
class DatesOfPlanTest {

    @Test
    void standTogetherInTheirOrder(Ledger ledger) throws Exception {
        Visitor visitor = new Visitor(ledger.root());
        visitor.post("/autumn-2031/week/add", "line", "40101,40220", "back", "/autumn-2031/week");

        String dates = between(visitor.get("/autumn-2031/week").body(), "id=\"dates-title\"", "</section>");
        assertThat(words(dates))
                .containsSubsequence(
                        "Wed 18 Jun, 8:00 Registration opens for 1 to 29 credits",
                        "Fri 19 Sep Last day to add TIDE 110",
                        "Fri 26 Sep Last day to add GLAC 240d",
                        "Mon 15 Dec, 9:00 Exam TIDE 110 T1",
                        "Tue 2 Mar 2032 Last day to withdraw GLAC 240d");
    }

    @Test
    void comeIntoTheCalendarFileIfWanted(Ledger ledger) throws Exception {
        Visitor visitor = new Visitor(ledger.root());
        visitor.post("/autumn-2031/week/add", "line", "40101", "back", "/autumn-2031/week");

        String address = "/autumn-2031/week/calendar.ics";
        assertThat(visitor.get(address).body())
                .contains("DTSTART;TZID=Atlantic/Madeira:20311215T090000")
                .doesNotContain("Last day");
        assertThat(visitor.get(address + "?dates=yes").body())
                .contains("DTSTART;VALUE=DATE:20310919\r\n", "SUMMARY:Last day to add: TIDE 110", "Registration opens");
    }

    private static String between(String text, String from, String to) {
        int start = text.indexOf(from);
        return text.substring(start, text.indexOf(to, start));
    }

    private static String words(String html) {
        return Pattern.compile("<[^>]*>|\\s+").matcher(html).replaceAll(" ").replaceAll(" +", " ");
    }
}
