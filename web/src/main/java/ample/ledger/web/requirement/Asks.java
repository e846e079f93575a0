package ample.ledger.web.requirement;

import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Restriction;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is asked of those who take a course or a section.
 *
 * @param rules what is asked beside prerequisites
 * @param record the address of the student's record, which leads back
 * @param way over the terms to what cannot be taken yet; empty where it can, and where there is none
 * @param about what the record is to this page: "Checked against your record"
 */
public record Asks(List<Need> needs, List<Rule> rules, String way, String record, String about) {

    public Asks {
        needs = List.copyOf(needs);
        rules = List.copyOf(rules);
    }

    /** @param own restrictions beside those of the course */
    public static Asks of(Judging judging, Course course, List<Restriction> own, String record) {
        NeedsWords words = new NeedsWords(judging, course);
        return new Asks(
                course.rules().prerequisites().stream().map(words::need).toList(),
                new RuleWords(judging, course.rules(), own).rules(),
                words.way(),
                record,
                judging.student().isEmpty()
                        ? "Add your record to check this"
                        : judging.official() ? "Checked against your record" : "Checked against the record you typed");
    }

    /** Whether anybody may take it. */
    public boolean nothing() {
        return needs.isEmpty() && rules.isEmpty();
    }

    /**
     * What must come before, as the registrar says it.
     *
     * @param tree the same as a tree; null where it is one condition, or left to people
     * @param verdict in words; empty where there is no record to judge by
     * @param missing what would meet it; empty where nothing is missing
     */
    public record Need(String sentence, @Nullable Node tree, String verdict, boolean met, String missing) {}

    /**
     * What is asked beside prerequisites.
     *
     * @param verdict in words; empty where there is none
     */
    public record Rule(String sentence, String verdict, boolean met) {}

    /** One condition of a tree, with the parts that it is a choice of. */
    public record Node(String words, String verdict, boolean met, List<Node> parts) {}
}
