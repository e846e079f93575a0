package ample.ledger.web.term;

import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.edition.Edition;
import ample.ledger.core.edition.SectionChange;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.words.Words;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Says what of a section is different from earlier editions. */
public final class ChangeWords {

    private final PostedTerm posted;
    private final ClockStyle clock;

    public ChangeWords(PostedTerm posted, ClockStyle clock) {
        this.posted = posted;
        this.clock = clock;
    }

    /** "was Mon 9:30–10:50; was Okonjo-Reyes" in the edition before; empty where nothing is different. */
    public String of(EntryNumber entry) {
        return said(posted.changesOf(entry), posted.edition());
    }

    /** What each edition changed of it, the latest first: "Edition 3, Mon 16 Jun, 16:20: was Mon 9:30–10:50". */
    public List<String> ofAllEditions(EntryNumber entry) {
        return posted.corrections().stream()
                .flatMap(List::stream)
                .filter(correction -> correction.changes().containsKey(entry))
                .map(correction -> "Edition %d, %s: %s"
                        .formatted(
                                correction.edition().number(),
                                posted.postedAt(correction.edition()),
                                said(correction.changes().get(entry), correction.edition())))
                .toList();
    }

    private String said(List<SectionChange> changes, Edition edition) {
        return changes.stream().map(change -> said(change, edition)).collect(Collectors.joining("; "));
    }

    private String said(SectionChange change, Edition edition) {
        return switch (change.what()) {
            case ADDED -> "new in edition " + edition.number();
            case CANCELLED -> "cancelled in edition " + edition.number();
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
            case PLACE ->
                before(
                        change,
                        before -> before.meetings().stream()
                                        .allMatch(meeting -> meeting.place() instanceof Place.ToBeAnnounced)
                                ? "at no announced place"
                                : Words.where(before));
            case PEOPLE ->
                before(
                        change,
                        before ->
                                before.instructors().isEmpty() ? "without an announced instructor" : Words.who(before));
            case FEWER_SEATS ->
                before(change, before -> Words.count(before.pool().capacity(), "seat"));
            case RESTRICTED -> "restricted in edition " + edition.number();
        };
    }

    private static String before(SectionChange change, Function<Section, String> of) {
        return "was " + change.before().map(of).orElse("otherwise");
    }
}
