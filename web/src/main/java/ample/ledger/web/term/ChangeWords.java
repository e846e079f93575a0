package ample.ledger.web.term;

import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.edition.SectionChange;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.term.Terms.PostedTerm;
import ample.ledger.web.words.Words;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Says what of a section is different from the edition before. */
public final class ChangeWords {

    private final PostedTerm posted;
    private final ClockStyle clock;

    public ChangeWords(PostedTerm posted, ClockStyle clock) {
        this.posted = posted;
        this.clock = clock;
    }

    /** "was Mon 9:30–10:50; was Okonjo-Reyes"; empty where nothing is different. */
    public String of(EntryNumber entry) {
        return posted.changesOf(entry).stream().map(this::said).collect(Collectors.joining("; "));
    }

    private String said(SectionChange change) {
        int edition = posted.edition().number();
        return switch (change.what()) {
            case ADDED -> "new in edition " + edition;
            case CANCELLED -> "cancelled in edition " + edition;
            case HELD_AFTER_ALL -> "held after all";
            case RENAMED -> before(change, before -> before.course().title() + " " + before.code());
            case MOVED ->
                before(
                        change,
                        before -> before.timings().isEmpty()
                                ? "at no announced time"
                                : before.timings().stream()
                                        .map(timing -> Words.when(timing, clock))
                                        .collect(Collectors.joining("; ")));
            case SPAN -> before(change, before -> before.span().name());
            case PLACE -> before(change, Words::where);
            case PEOPLE -> before(change, Words::who);
        };
    }

    private static String before(SectionChange change, Function<Section, String> of) {
        return "was " + change.before().map(of).orElse("otherwise");
    }
}
