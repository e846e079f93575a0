package ample.ledger.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.RunningLedger;
import ample.ledger.web.RunningLedger.Ledger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What is cancelled has no seats and no place among what is registered for, on no page and in no file. */
@ExtendWith(RunningLedger.class)
class CancelledTest {

    private static final String CANCELLED = "40406";
    private static final String HELD = "40101";

    private static final JsonMapper JSON = new JsonMapper();

    @Test
    void inMyWeekItIsNotAmongTheNumbersNorInTheLoad(Ledger ledger) throws Exception {
        Visitor with = new Visitor(ledger.root());
        with.post("/autumn-2031/week/add", "line", CANCELLED + "," + HELD, "back", "/autumn-2031/week");
        Visitor without = new Visitor(ledger.root());
        without.post("/autumn-2031/week/add", "line", HELD, "back", "/autumn-2031/week");

        String week = with.get("/autumn-2031/week").body();

        assertThat(week).contains("cancelled; not among the numbers");
        assertThat(between(week, "id=\"entries\"", "</pre>")).contains(HELD).doesNotContain(CANCELLED);
        assertThat(load(week)).isEqualTo(load(without.get("/autumn-2031/week").body()));
    }

    @Test
    void inListsAndLinkedDataItHasNoSeat(Ledger ledger) throws Exception {
        Visitor guest = new Visitor(ledger.root());
        JsonNode listed = JSON.readTree(guest.get("/lists/v1/autumn-2031/sections.json?entry=" + CANCELLED)
                .body());
        JsonNode linked = JSON.readTree(guest.get("/lists/v1/autumn-2031/sections/" + CANCELLED + ".jsonld")
                .body());

        JsonNode one = listed.path("sections").get(0);
        assertThat(one.path("status").asString()).isEqualTo("cancelled");
        assertThat(one.path("seats").path("open").asInt()).isZero();
        assertThat(linked.path("eventStatus").asString()).endsWith("EventCancelled");
        assertThat(linked.path("remainingAttendeeCapacity").asInt(-1)).isZero();
    }

    private static String load(String week) {
        return between(week, "id=\"load-title\"", "</section>");
    }

    private static String between(String text, String from, String to) {
        int start = text.indexOf(from);
        assertThat(start).as(from).isNotNegative();
        return text.substring(start, text.indexOf(to, start));
    }
}
