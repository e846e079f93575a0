package ample.ledger.web.ready;

import ample.ledger.web.ready.ReadyPage.Link;
import ample.ledger.web.ready.ReadyPage.Said;
import java.util.List;

/**
 * What a student has at the registrar, of all terms.
 *
 * @param says what there is, in a sentence; or why nothing can be said
 * @param lead where that can be changed; none where nothing has to be
 * @param told what has just been done
 * @param registered by term
 * @param rounds the wish rounds of the term
 * @param history all submissions, the latest first
 * @param awaited when what was asked and is not answered was asked, in a sentence; empty for nothing
 */
public record RegistrationPage(
        String term,
        String says,
        List<Link> lead,
        List<String> told,
        List<OfTerm> registered,
        List<Waited> waiting,
        List<Offered> offers,
        List<Round> rounds,
        List<Submitted> history,
        String awaited) {

    /**
     * A wish round.
     *
     * @param says until when it is open, or what came of it
     */
    public record Round(String name, String address, String says) {}

    /** What is registered in one term. */
    public record OfTerm(String name, List<Line> lines, String credits) {}

    /**
     * The sections of one course.
     *
     * @param change the page to drop it or to swap it
     */
    public record Line(List<Part> parts, String credits, String change) {}

    /** A section. */
    public record Part(String entry, String sheet, String name, String title, List<String> when) {}

    /**
     * A place on a waitlist.
     *
     * @param place "3rd of 7"
     */
    public record Waited(Part part, String place, Act leave) {}

    /**
     * A seat that is offered.
     *
     * @param until until when, and how long that is
     * @param soon whether it lapses within a few hours
     */
    public record Offered(Part part, String until, boolean soon, Act takeUp, Act decline) {}

    /**
     * Something that can be asked at once.
     *
     * @param id names the submission
     * @param ask the request
     */
    public record Act(String id, String ask) {}

    /** A submission with its answers. */
    public record Submitted(String id, String at, List<Asked> lines) {}

    /** A request with its answer. */
    public record Asked(String request, List<Said> answers) {}
}
