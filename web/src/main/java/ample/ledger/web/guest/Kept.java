package ample.ledger.web.guest;

import ample.ledger.core.plan.Pick;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.core.plan.Standing;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.text.PlainText;
import ample.ledger.core.watch.Concern;
import ample.ledger.core.watch.Watch;
import ample.ledger.core.watch.Watched;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What is kept for one visitor: their plans, briefs under names, and what they said of their record. Immutable.
 *
 * @param briefs in the order they were saved
 * @param watches what they ask to be told about, in the order they asked; of a guest none
 * @param letters which notices are to come by letter
 * @param offered what a student typed of their record before they signed in, until they take it over or forget it
 */
public record Kept(
        PlanBook plans,
        List<SavedBrief> briefs,
        KeptRecord record,
        KeptRecord offered,
        List<Watch> watches,
        LetterChoice letters) {

    /** Nothing yet. */
    public static final Kept NOTHING =
            new Kept(PlanBook.EMPTY, List.of(), KeptRecord.NONE, KeptRecord.NONE, List.of(), LetterChoice.USUAL);

    /** More than anybody can follow; beyond these the oldest has to go first. */
    public static final int MOST_WATCHES = 60;

    private static final int MOST_BRIEFS = 30;
    private static final int LONGEST_NAME = 60;

    public Kept {
        briefs = List.copyOf(briefs);
        watches = List.copyOf(watches);
    }

    /**
     * A brief under a name.
     *
     * @param address where it is looked at; a page of this application
     */
    public record SavedBrief(String name, String address) {}

    /** The entry numbers of the sections of one term that the visitor means to take, or waits for. */
    public List<EntryNumber> week(TermCode term) {
        return plans.current().stream()
                .flatMap(plan -> plan.picks().stream())
                .filter(pick -> pick.term().equals(term) && pick.standing() != Standing.BESIDE)
                .map(Pick::entry)
                .toList();
    }

    /** The same, as far as they are still posted. */
    public List<Section> week(Schedule schedule) {
        return week(schedule.term().code()).stream()
                .flatMap(entry -> schedule.section(entry).stream())
                .toList();
    }

    /** With a brief under a name; one of the same name is replaced, and beyond some the oldest goes. */
    public Kept saving(String name, String address) {
        String plain = PlainText.onOneLine(name).strip();
        String shown = plain.isEmpty() ? "A brief" : plain;
        SavedBrief saved =
                new SavedBrief(shown.length() > LONGEST_NAME ? shown.substring(0, LONGEST_NAME) : shown, address);
        List<SavedBrief> after = new ArrayList<>(forgetting(saved.name()).briefs);
        after.add(saved);
        return new Kept(
                plans,
                after.subList(Math.max(0, after.size() - MOST_BRIEFS), after.size()),
                record,
                offered,
                watches,
                letters);
    }

    public Kept forgetting(String name) {
        return new Kept(
                plans,
                briefs.stream().filter(brief -> !brief.name().equals(name)).toList(),
                record,
                offered,
                watches.stream()
                        .filter(watch -> !(watch.about() instanceof Watched.OfBrief brief)
                                || !brief.name().equals(name))
                        .toList(),
                letters);
    }

    /** With this watch instead of any about the same; beyond {@link #MOST_WATCHES} nothing is added. */
    public Kept watching(Watch watch) {
        List<Watch> after = new ArrayList<>(unwatching(watch.about()).watches);
        if (after.size() < MOST_WATCHES) {
            after.add(watch);
        }
        return new Kept(plans, briefs, record, offered, after, letters);
    }

    public Kept unwatching(Watched about) {
        return new Kept(
                plans,
                briefs,
                record,
                offered,
                watches.stream().filter(watch -> !watch.about().equals(about)).toList(),
                letters);
    }

    /** The watch that is put on something; empty for none. */
    public Optional<Watch> watch(Watched about) {
        return watches.stream().filter(watch -> watch.about().equals(about)).findFirst();
    }

    /** With other choices of what comes by letter. */
    public Kept with(LetterChoice other) {
        return new Kept(plans, briefs, record, offered, watches, other);
    }

    /** What of what is posted concerns the visitor by what they keep. */
    public Set<Concern> concerns() {
        return Concern.kept(plans, watches);
    }

    /** With this record instead of the one before. */
    public Kept with(KeptRecord other) {
        return new Kept(plans, briefs, other, offered, watches, letters);
    }

    /** What was typed before signing in stands with what is typed, or supposed beside the record, from now on. */
    public Kept takingOver() {
        return new Kept(plans, briefs, record.with(offered), KeptRecord.NONE, watches, letters);
    }

    /** What was typed before signing in is no longer offered. */
    public Kept offeringNothing() {
        return new Kept(plans, briefs, record, KeptRecord.NONE, watches, letters);
    }

    /** With what a guest brings: plans beside the own, briefs of other names, and the record only as an offer. */
    Kept adopting(Kept guest) {
        Kept all = new Kept(
                plans.adopting(guest.plans),
                briefs,
                record,
                guest.record.said() ? guest.record : offered,
                watches,
                letters);
        for (SavedBrief brief : guest.briefs) {
            boolean known = briefs.stream().anyMatch(own -> own.name().equals(brief.name()));
            all = known ? all : all.saving(brief.name(), brief.address());
        }
        return all;
    }

    /** With these plans instead of those before. */
    public Kept with(PlanBook other) {
        return new Kept(other, briefs, record, offered, watches, letters);
    }
}
