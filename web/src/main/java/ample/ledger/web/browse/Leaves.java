package ample.ledger.web.browse;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.index.Order;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.term.PostedTerm;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The list cut into leaves, which are shown, and fetched, one at a time. By course no course is cut in two, and no leaf goes
 * from one term to the next.
 */
final class Leaves {

    /** A leaf is full when it has so many lines. The first is what a window shows at once, for a reader waits for it. */
    private static final int FIRST_LINES = 8;

    private static final int LINES = 12;

    private final List<Leaf> leaves = new ArrayList<>();

    private int courses;

    /**
     * One leaf.
     *
     * @param sections in order, all of them of {@code posted}
     * @param heads how many courses begin in it, where courses have heads
     */
    record Leaf(PostedTerm posted, List<Section> sections, int heads) {}

    private Leaves() {}

    /** Cost: linear in what fits, beside sorting it. */
    static Leaves of(List<PostedTerm> terms, List<Findings> findings, BrowseView view) {
        Order order = view.order();
        Leaves leaves = new Leaves();
        for (int term = 0; term < terms.size(); term++) {
            List<Section> fitting = findings.get(term).fitting();
            boolean byCourse = order == Order.COURSE;
            leaves.courses += byCourse ? 0 : heads(fitting, 0, fitting.size());
            leaves.add(
                    terms.get(term), byCourse ? fitting : findings.get(term).first(order, Integer.MAX_VALUE), byCourse);
        }
        return leaves;
    }

    private void add(PostedTerm posted, List<Section> sections, boolean byCourse) {
        int from = 0;
        while (from < sections.size()) {
            int full = leaves.isEmpty() ? FIRST_LINES : LINES;
            int to = Math.min(from + full, sections.size());
            while (byCourse && to < sections.size() && sameCourse(sections.get(to - 1), sections.get(to))) {
                to++;
            }
            int heads = byCourse ? heads(sections, from, to) : 0;
            courses += heads;
            leaves.add(new Leaf(posted, sections.subList(from, to), heads));
            from = to;
        }
    }

    /** How many courses there are among some sections in the order of their courses. */
    private static int heads(List<Section> sections, int from, int to) {
        int heads = 0;
        for (int i = from; i < to; i++) {
            heads += i == from || !sameCourse(sections.get(i - 1), sections.get(i)) ? 1 : 0;
        }
        return heads;
    }

    /** Sections of one course share it: it need not be compared part by part. */
    @SuppressWarnings("ReferenceEquality") // Only the quick way; the codes decide.
    private static boolean sameCourse(Section one, Section other) {
        return one.course() == other.course()
                || one.course().code().equals(other.course().code());
    }

    /** How many courses there are in all. */
    int courses() {
        return courses;
    }

    int size() {
        return leaves.size();
    }

    List<Leaf> all() {
        return Collections.unmodifiableList(leaves);
    }

    /** @param page from 1 */
    Leaf page(int page) {
        return leaves.get(page - 1);
    }

    /** The page to show: that of the view's line, or its page, or the last; 1 where there is none. */
    int shown(BrowseView view) {
        return view.line()
                .map(this::pageOf)
                .filter(page -> page > 0)
                .orElse(Math.max(1, Math.min(view.page(), leaves.size())));
    }

    private int pageOf(EntryNumber entry) {
        for (int leaf = 0; leaf < leaves.size(); leaf++) {
            if (leaves.get(leaf).sections().stream()
                    .anyMatch(section -> section.entry().equals(entry))) {
                return leaf + 1;
            }
        }
        return 0;
    }

    /** The page on which each subject begins, in order, of a list by course. */
    Map<String, Integer> subjects() {
        Map<String, Integer> first = new LinkedHashMap<>();
        String subject = "";
        for (int leaf = 0; leaf < leaves.size(); leaf++) {
            List<Section> sections = leaves.get(leaf).sections();
            // In the order of courses a leaf that begins and ends with the subject before it has no other.
            if (subjectOf(sections.get(0)).equals(subject)
                    && subjectOf(sections.get(sections.size() - 1)).equals(subject)) {
                continue;
            }
            for (Section section : sections) {
                subject = subjectOf(section);
                first.putIfAbsent(subject, leaf + 1);
            }
        }
        return first;
    }

    private static String subjectOf(Section section) {
        return section.course().code().subject();
    }
}
