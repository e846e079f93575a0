package ample.ledger.standin.submission;

import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.registrar.rules.Book;
import ample.ledger.core.registrar.rules.PoolName;
import ample.ledger.core.registrar.rules.Rules;
import ample.ledger.core.schedule.Section;
import ample.ledger.standin.submission.JournalMapper.JournalRow;
import ample.ledger.standin.wishes.WishRounds;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;

/** The book in memory, as the journal and the distributed rounds make it. Only whoever holds the lock of the {@link Registry} uses it. */
final class JournalBook {

    private final Journal journal;
    private final WishRounds wishes;
    private final PostedSchedules posted;
    private final Rules rules;
    private Book book;

    /** The number of the last fact in the journal that the book has. */
    private long known;

    private boolean stale = true;

    JournalBook(Journal journal, WishRounds wishes, PostedSchedules posted, Rules rules) {
        this.journal = journal;
        this.wishes = wishes;
        this.posted = posted;
        this.rules = rules;
        this.book = rules.book();
    }

    /** With all that this program knows of. */
    Book book() {
        if (stale) {
            makeAnew();
        }
        return book;
    }

    /** With all facts up to the last in the journal, whoever has written them. */
    Book upTo(long last) {
        if (last != known) {
            stale = true;
        }
        return book();
    }

    long known() {
        return known;
    }

    /** Counts facts that the book has already, and that the journal now has too. */
    void wrote(int facts) {
        known += facts;
    }

    /** Notes that the book is not as it is kept: it is made anew when it is next asked for. */
    void doubt() {
        stale = true;
    }

    private void makeAnew() {
        Book again = rules.book();
        names().forEach(again::pool);
        List<JournalRow> rows = journal.all();
        Deque<WishRounds.Decided> rounds = new ArrayDeque<>(wishes.decided());
        for (JournalRow row : rows) {
            while (!rounds.isEmpty() && rounds.element().after() < row.number()) {
                distributed(rounds.remove(), again);
            }
            again.apply(JournalRows.fact(row));
        }
        rounds.forEach(round -> distributed(round, again));
        book = again;
        known = rows.isEmpty() ? 0 : rows.get(rows.size() - 1).number();
        stale = false;
    }

    private static void distributed(WishRounds.Decided decided, Book book) {
        WishRounds.Round round = decided.round();
        book.distributed(round.name(), round.posted(), decided.distribution());
    }

    private List<PoolName> names() {
        return posted.all().stream()
                .flatMap(schedule -> schedule.sections().stream()
                        .map(Section::pool)
                        .map(pool -> new PoolName(schedule.term().code().text(), pool.code())))
                .distinct()
                .toList();
    }
}
