package ample.ledger.web.guest;

import ample.ledger.core.exchange.PlanJson;
import ample.ledger.core.plan.PlanBook;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What is kept for a visitor, as JSON. What is missing was never kept. */
final class KeptJson {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String PLANS = "plans";

    private KeptJson() {}

    /** The parts beside the plans, whose format is {@link PlanJson}'s own. */
    private record Beside(List<Kept.SavedBrief> briefs, KeptRecord record, KeptRecord offered) {}

    static String write(Kept kept) {
        ObjectNode json = JSON.valueToTree(new Beside(kept.briefs(), kept.record(), kept.offered()));
        json.set(PLANS, JSON.readTree(PlanJson.writeBook(kept.plans())));
        return json.toString();
    }

    static Kept read(String text) {
        JsonNode json = JSON.readTree(text);
        return new Kept(
                json.has(PLANS) ? PlanJson.readBook(json.path(PLANS).toString()) : PlanBook.EMPTY,
                json.has("briefs")
                        ? List.of(JSON.treeToValue(json.path("briefs"), Kept.SavedBrief[].class))
                        : List.of(),
                record(json, "record"),
                record(json, "offered"));
    }

    private static KeptRecord record(JsonNode json, String part) {
        return json.has(part) ? JSON.treeToValue(json.path(part), KeptRecord.class) : KeptRecord.NONE;
    }
}
