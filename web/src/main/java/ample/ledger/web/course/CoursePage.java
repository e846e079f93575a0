package ample.ledger.web.course;

import ample.ledger.web.browse.BrowsePage.Line;
import ample.ledger.web.requirement.Asks;
import ample.ledger.web.words.CodeWords;
import ample.ledger.web.words.OfSubject;
import ample.ledger.web.words.Strip;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What stands on the page of one course.
 *
 * @param term the code of the term
 * @param here its own address
 * @param facts credits, year of study and what it counts toward, in one line
 * @param offered its sections of this term, counted, in a sentence
 * @param earlier terms before this one that offer it, the latest first
 * @param later terms from this one on that offer it, the first first
 * @param equivalents courses that it stands for or that stand for it, or beside which it gives no credit
 * @param graph null where nothing leads to it and it leads to nothing
 */
public record CoursePage(
        String term,
        String termName,
        String here,
        String code,
        String title,
        List<CodeWords.Part> parts,
        String facts,
        String description,
        List<String> notes,
        OfSubject ofSubject,
        String back,
        String backSays,
        Asks asks,
        String offered,
        Strip.Ground ground,
        List<Line> lines,
        List<Offering> earlier,
        List<Offering> later,
        List<Beside> equivalents,
        @Nullable GraphPicture graph) {

    /**
     * Another term in which the course is offered.
     *
     * @param sections "3 sections"
     */
    public record Offering(String term, String sections, String address) {}

    /**
     * A course that is equivalent in some way.
     *
     * @param sentence empty where it is said elsewhere on the page
     * @param address of its page; null where it is not posted this term
     */
    public record Beside(
            String course, String sentence, @Nullable String address) {}
}
