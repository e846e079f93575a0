package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.schedule.Coded;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Reads a brief from the parameters of an address, as {@link Brief#parameters()} writes them. A parameter may also be
 * given several times, as plain forms send it; empty values count as not given.
 *
 * <p>What cannot be understood is reported value by value, and the rest of the brief stands.
 */
public final class BriefAddress {

    private BriefAddress() {}

    /** One value that could not be understood, and a sentence that says what would be right. */
    public record Misread(String parameter, String value, String sentence) {}

    /** The brief as far as it was understood, and what was not. */
    public record Reading(Brief brief, List<Misread> misreads) {

        public Reading {
            misreads = List.copyOf(misreads);
        }
    }

    /** Reads {@code parameters} with the codes of {@code vocabulary}. Never fails. */
    public static Reading read(Map<String, List<String>> parameters, Vocabulary vocabulary) {
        AddressReader address = new AddressReader(parameters, vocabulary);
        Set<Topic> turned = turned(address);
        List<Condition> conditions = new ArrayList<>();
        for (Topic topic : Topic.values()) {
            Optional<Condition> condition = topic.read(address);
            condition.map(said -> turned.contains(topic) ? new Not(said) : said).ifPresent(conditions::add);
            if (condition.isEmpty() && turned.contains(topic)) {
                address.misread(Not.PARAMETER.name(), topic.code(), "There is no such condition here.");
            }
        }
        return new Reading(new Brief(conditions), address.misreads());
    }

    private static Set<Topic> turned(AddressReader address) {
        String wanted = "Name the conditions to turn round, as in " + Topic.CAMPUS.code() + ".";
        Set<Topic> turned = EnumSet.noneOf(Topic.class);
        turned.addAll(address.set(Not.PARAMETER.name(), name -> Coded.parse(Topic.class, name), wanted));
        return turned;
    }
}
