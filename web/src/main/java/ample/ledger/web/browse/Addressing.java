package ample.ledger.web.browse;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.schedule.Coded;
import ample.ledger.web.term.Addresses;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The addresses that one Browse page leads to: other briefs in the same order of lines, other views of the same brief.
 *
 * <p>Conditions can be struck: they stay in the address, and a parameter names them as put aside, so that one click restores
 * them.
 *
 * @param brief what is asked
 * @param struck what is put aside; nothing about a topic that the brief has a condition about
 */
record Addressing(Addresses addresses, Brief brief, List<Condition> struck, BrowseView view) {

    /** The parameter that names the topics of the conditions put aside. */
    static final String STRUCK = "struck";

    /** @param said everything that the address says, struck or not */
    static Addressing of(Addresses addresses, Brief said, String struck, BrowseView view) {
        List<Topic> topics = Arrays.stream(struck.split(","))
                .flatMap(topic -> Coded.parse(Topic.class, topic).stream())
                .toList();
        Brief asked = said;
        for (Topic topic : topics) {
            asked = asked.without(topic);
        }
        return new Addressing(
                addresses,
                asked,
                said.conditions().stream()
                        .filter(condition -> topics.contains(condition.topic()))
                        .toList(),
                view);
    }

    /** The same brief, looked at in another way. */
    String seen(BrowseView other) {
        return address(brief, struck, other);
    }

    /** Another brief; what is struck stays struck, unless the brief has another condition in its place. */
    String to(Brief other) {
        return address(other, struck, view.afterChange());
    }

    /** The brief with one of its conditions put aside. */
    String striking(Condition condition) {
        return address(
                brief.without(condition.topic()),
                Stream.concat(struck.stream(), Stream.of(condition)).toList(),
                view.afterChange());
    }

    /** The brief with a condition that was put aside. */
    String restoring(Condition condition) {
        return to(brief.with(condition));
    }

    /** The same with the editor of a topic open; with none for an empty one. */
    String editing(String topic) {
        return seen(view.editing(topic));
    }

    private String address(Brief asked, List<Condition> aside, BrowseView as) {
        List<Condition> left = aside.stream()
                .filter(condition -> asked.about(condition.topic()).isEmpty())
                .toList();
        Brief said = asked;
        for (Condition condition : left) {
            said = said.with(condition);
        }
        String address = addresses.browse(said);
        return as.on(left.isEmpty() ? address : Addresses.with(address, STRUCK, topics(left)));
    }

    /** The topics of conditions, as the parameter names them. */
    static String topics(List<Condition> conditions) {
        return conditions.stream()
                .map(condition -> condition.topic().code())
                .sorted()
                .collect(Collectors.joining(","));
    }
}
