package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.Topic;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * What a stretch of a line means.
 *
 * @param tokens how many words it takes
 * @param topic what it is about
 * @param asked what it asks for; empty where a brief cannot say that
 * @param denied what it asks for behind a word such as "no"; empty likewise
 */
record Meant(int tokens, Topic topic, Optional<Effect> asked, Optional<Effect> denied) {

    /**
     * Something that is added to a brief.
     *
     * @param topic of the condition that it becomes part of
     */
    record Effect(Topic topic, Consumer<QuickBrief> put) {}

    static Meant of(int tokens, Topic topic, Consumer<QuickBrief> put) {
        return new Meant(tokens, topic, Optional.of(new Effect(topic, put)), Optional.empty());
    }

    /** Of which only the denial can be asked for: "starts before November". */
    static Meant onlyDenied(int tokens, Topic topic, Consumer<QuickBrief> put) {
        return new Meant(tokens, topic, Optional.empty(), Optional.of(new Effect(topic, put)));
    }

    /** With what it asks for when it is denied. */
    Meant denied(Topic of, Consumer<QuickBrief> put) {
        return new Meant(tokens, topic, asked, Optional.of(new Effect(of, put)));
    }

    /** The same of some words more. */
    Meant longer(int more) {
        return new Meant(tokens + more, topic, asked, denied);
    }

    /** The same turned round: "fridays off". */
    Meant turned() {
        return new Meant(tokens, topic, /* asked= */ denied, /* denied= */ asked);
    }
}
