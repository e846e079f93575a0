package ample.ledger.web.watch;

import java.util.List;

/**
 * The page of a student's notices.
 *
 * @param back where one came from
 * @param unseen "3 new notices"; empty for none
 * @param last number of the latest notice on this page. “Mark all as seen” marks notices up to this one
 * @param watches what the student asks to be told about
 * @param letters which notices come by letter
 * @param feed the private address of their feed; empty for none
 */
public record NoticesPage(
        String back,
        boolean student,
        String unseen,
        long last,
        List<Group> groups,
        List<WatchLine> watches,
        List<LetterQuestion> letters,
        String feed) {

    /**
     * Notices about one thing.
     *
     * @param label what they are about
     * @param address its page; empty for none
     */
    public record Group(String label, String address, List<Told> notices) {}

    /**
     * One notice.
     *
     * @param when "Tue 17 Jun, 9:41"
     * @param past whether it is of no use any more
     */
    public record Told(long id, NoticeContent content, String when, boolean seen, boolean past) {}

    /**
     * One watch.
     *
     * @param what what it tells: "at least 2 seats open; anything changes"
     * @param line an entry number; empty where it is on something else
     * @param course the code of a course; empty where it is on something else
     * @param brief the name of a brief; empty where it is on something else
     */
    public record WatchLine(
            String label, String address, String what, String term, String line, String course, String brief) {}

    /** How soon a kind of notices comes by letter. */
    public record LetterQuestion(String name, String label, List<LetterAnswer> answers) {}

    public record LetterAnswer(String value, String label, boolean chosen) {}
}
