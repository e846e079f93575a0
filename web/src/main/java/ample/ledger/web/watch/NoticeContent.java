package ample.ledger.web.watch;

import java.util.List;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a notice says, as it is kept.
 *
 * @param heading what has happened, in a few words
 * @param lines sentences
 * @param actions what can be done about it, the best first; one at least
 */
public record NoticeContent(String heading, List<String> lines, List<Action> actions) {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    public NoticeContent {
        lines = List.copyOf(lines);
        actions = List.copyOf(actions);
    }

    /**
     * Something that can be done, or a page where it can.
     *
     * @param fields what a form sends; none for a link
     */
    public record Action(String label, String address, List<Field> fields) {

        public Action {
            fields = List.copyOf(fields);
        }

        static Action link(String label, String address) {
            return new Action(label, address, List.of());
        }

        public boolean form() {
            return !fields.isEmpty();
        }
    }

    public record Field(String name, String value) {}

    String json() {
        return JSON.writeValueAsString(this);
    }

    static NoticeContent read(String json) {
        return JSON.readValue(json, NoticeContent.class);
    }
}
