package ample.ledger.web.ready;

import java.util.List;

/**
 * What the registrar would answer to a plan.
 *
 * @param here the address of the page, without the answers that it may show
 * @param says how many would go through, in a sentence; or why nothing is foretold
 * @param lead where that can be changed, with its words; none where nothing has to be
 * @param told what has just been done
 * @param order what decided the order, in sentences
 */
public record ReadyPage(
        String term,
        String here,
        String says,
        List<Link> lead,
        List<String> told,
        Ordering order,
        List<Line> lines,
        Total total,
        Sending sending,
        Answered answered) {

    /** Where something can be done about it. */
    public record Link(String words, String address) {}

    /**
     * How the order came about.
     *
     * @param why in sentences; none where nothing decided it, and where the student did
     * @param change the address at which it can be changed; empty while it is being changed
     * @param usual the address of the order that works; empty where it is that
     */
    public record Ordering(List<String> why, String change, String usual) {}

    /**
     * One line.
     *
     * @param number empty for what the student has already
     * @param rows one a section
     * @param notes what belongs into no column, in the registrar's own words
     * @param mends what would mend it
     * @param answers what the registrar has answered; none where nothing was asked just now
     * @param earlier the address with it one place earlier; empty where it cannot be
     */
    public record Line(
            String number,
            List<Row> rows,
            Cell open,
            Cell prerequisite,
            Cell with,
            Cell credits,
            List<String> notes,
            List<Mend> mends,
            List<Said> answers,
            String earlier,
            String later) {}

    /** A section of a line. */
    public record Row(String entry, String sheet, String name, String title, List<String> when, Cell time, Cell seat) {}

    /**
     * A word, and what it comes of.
     *
     * @param tone {@code met}, {@code later}, {@code fails} or {@code plain}
     * @param small below the word
     */
    public record Cell(String tone, String word, List<String> small) {

        static Cell met(String word, String... small) {
            return new Cell("met", word, List.of(small));
        }

        static Cell later(String word, String... small) {
            return new Cell("later", word, List.of(small));
        }

        static Cell fails(String word, List<String> small) {
            return new Cell("fails", word, small);
        }

        static Cell plain(String word, String... small) {
            return new Cell("plain", word, List.of(small));
        }
    }

    /**
     * What would mend a line: a change of the plan as a form, or a page.
     *
     * @param action where the form is sent; empty for a page
     * @param fields of the form
     * @param address of the page; empty for a form
     */
    public record Mend(String words, String action, List<Field> fields, String address) {}

    /** A hidden field. */
    public record Field(String name, String value) {}

    /** One answer. */
    public record Said(String tone, String words) {}

    /** What stands under the double rule. */
    public record Total(String words, String credits) {}

    /**
     * What can be sent.
     *
     * @param id the name of the submission
     * @param all every request
     * @param ready those that would go through, where that is not all
     * @param from from when, in words; empty where it can be sent now
     * @param millis until then; 0 where it can be sent now
     * @param note under the buttons
     * @param sends what will be sent, in words
     */
    public record Sending(
            String id,
            List<String> all,
            List<String> ready,
            String from,
            long millis,
            String note,
            List<String> sends) {}

    /**
     * What was sent last.
     *
     * @param says when the registrar has answered and how many were done, or that it has not answered yet; empty where nothing was sent
     * @param waiting whether the answer is still awaited
     * @param others answers to what is not in the plan
     */
    public record Answered(String says, boolean waiting, List<Said> others) {}
}
