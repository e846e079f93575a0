package ample.ledger.web.browse;

import ample.ledger.web.words.SeatWords;
import ample.ledger.web.words.Strip;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What stands on the Browse screen.
 *
 * @param misreads what the address says that was not understood
 * @param here the address of what was understood
 * @param startOver the address without any condition; null when there is none to drop
 */
public record BrowsePage(
        String term,
        BriefSentence sentence,
        List<String> misreads,
        String here,
        @Nullable String startOver,
        Account account,
        String total,
        Strip.Ground ground,
        List<SubjectLink> subjects,
        List<CourseBlock> courses,
        List<Remedy> waysBack,
        String csv,
        String json) {

    /** The running account. */
    public record Account(
            String posted,
            List<AccountLine> lines,
            String left,
            @Nullable Remedy hint) {}

    /** One condition of the account. */
    public record AccountLine(String label, String removed, String onlyThis) {}

    /** A change of the brief: what it says and does, and its address. */
    public record Remedy(String sentence, String address) {}

    /** A jump to a subject's first course. */
    public record SubjectLink(String code, String name, String anchor) {}

    /** A course and those of its sections that fit. */
    public record CourseBlock(
            String anchor,
            @Nullable String subjectAnchor,
            String code,
            String title,
            String credits,
            String toward,
            String needs,
            String fit,
            List<Line> lines) {}

    /** One section. */
    public record Line(
            String anchor,
            String entry,
            String section,
            String sheet,
            String kind,
            boolean companion,
            boolean cancelled,
            Strip strip,
            List<String> when,
            String where,
            String who,
            SeatWords seats,
            String runs) {}
}
