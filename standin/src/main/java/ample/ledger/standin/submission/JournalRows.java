package ample.ledger.standin.submission;

import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.rules.Fact;
import ample.ledger.core.schedule.Coded;
import ample.ledger.standin.submission.JournalMapper.JournalRow;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Facts as the journal keeps them, column by column. */
final class JournalRows {

    private final long first;
    private final List<Fact> facts = new ArrayList<>();
    private final List<String> submissions = new ArrayList<>();

    /** @param first the number of the first of them */
    JournalRows(long first) {
        this.first = first;
    }

    /** @param submission of which they came; empty for none */
    void add(String submission, List<Fact> some) {
        some.forEach(fact -> {
            facts.add(fact);
            submissions.add(submission);
        });
    }

    List<Fact> facts() {
        return facts;
    }

    static Fact fact(JournalRow row) {
        return new Fact(
                Coded.parse(Fact.Kind.class, row.kind()).orElseThrow(),
                row.student(),
                new Entry(row.term(), row.entry()),
                row.pool(),
                row.heldFor(),
                row.wanted().isEmpty()
                        ? List.of()
                        : Arrays.stream(row.wanted().split(" "))
                                .map(entry -> entry.split("/"))
                                .map(parts -> new Entry(parts[0], parts[1]))
                                .toList(),
                Optional.ofNullable(row.until()));
    }

    public Long[] getNumbers() {
        Long[] numbers = new Long[facts.size()];
        Arrays.setAll(numbers, i -> first + i);
        return numbers;
    }

    public String[] getSubmissions() {
        return submissions.toArray(String[]::new);
    }

    public String[] getKinds() {
        return column(fact -> fact.kind().code());
    }

    public String[] getStudents() {
        return column(Fact::student);
    }

    public String[] getTerms() {
        return column(fact -> fact.part().term());
    }

    public String[] getEntries() {
        return column(fact -> fact.part().number());
    }

    public String[] getPools() {
        return column(Fact::pool);
    }

    public String[] getHeldFors() {
        return column(Fact::heldFor);
    }

    public String[] getWanteds() {
        return column(fact -> fact.set().stream()
                .map(entry -> entry.term() + "/" + entry.number())
                .collect(Collectors.joining(" ")));
    }

    public String[] getUntils() {
        return column(fact -> fact.until().map(Object::toString).orElse(null));
    }

    private String[] column(Function<Fact, @Nullable String> value) {
        return facts.stream().map(value).toArray(String[]::new);
    }
}
