package ample.ledger.standin.submission;

import ample.ledger.core.registrar.rules.Fact;
import java.util.Collection;
import java.util.List;
import java.util.function.Function;

/** Who has a section, or has it no longer, column by column. */
final class PartRows {

    private final List<Fact> facts;

    private PartRows(List<Fact> facts) {
        this.facts = facts;
    }

    /** Those of {@code facts} that are of one kind. */
    static PartRows of(Collection<Fact> facts, Fact.Kind kind) {
        return new PartRows(facts.stream().filter(fact -> fact.kind() == kind).toList());
    }

    public String[] getTerms() {
        return column(fact -> fact.part().term());
    }

    public String[] getEntries() {
        return column(fact -> fact.part().number());
    }

    public String[] getStudents() {
        return column(Fact::student);
    }

    private String[] column(Function<Fact, String> value) {
        return facts.stream().map(value).toArray(String[]::new);
    }
}
