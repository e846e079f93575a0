package ample.ledger.web.guest;

import ample.ledger.core.plan.Pick;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.core.plan.Standing;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.text.PlainText;
import java.util.ArrayList;
import java.util.List;

/**
 * What is kept for one visitor: their plans, briefs under names, and what they said of their record. Immutable.
 *
 * @param briefs in the order they were saved
 * @param offered what a student typed of their record before they signed in, until they take it over or forget it
 */
public record Kept(PlanBook plans, List<SavedBrief> briefs, KeptRecord record, KeptRecord offered) {

    /** Nothing yet. */
    public static final Kept NOTHING = new Kept(PlanBook.EMPTY, List.of(), KeptRecord.NONE, KeptRecord.NONE);

    private static final int MOST_BRIEFS = 30;
    private static final int LONGEST_NAME = 60;

    public Kept {
        briefs = List.copyOf(briefs);
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
        return new Kept(plans, after.subList(Math.max(0, after.size() - MOST_BRIEFS), after.size()), record, offered);
    }

    public Kept forgetting(String name) {
        return new Kept(
                plans,
                briefs.stream().filter(brief -> !brief.name().equals(name)).toList(),
                record,
                offered);
    }

    /** With this record instead of the one before. */
    public Kept with(KeptRecord other) {
        return new Kept(plans, briefs, other, offered);
    }

    /** What was typed before signing in stands with what is typed, or supposed beside the record, from now on. */
    public Kept takingOver() {
        return new Kept(plans, briefs, record.with(offered), KeptRecord.NONE);
    }

    /** What was typed before signing in is no longer offered. */
    public Kept offeringNothing() {
        return new Kept(plans, briefs, record, KeptRecord.NONE);
    }

    /** With what a guest brings: plans beside the own, briefs of other names, and the record only as an offer. */
    Kept adopting(Kept guest) {
        Kept all = new Kept(plans.adopting(guest.plans), briefs, record, guest.record.said() ? guest.record : offered);
        for (SavedBrief brief : guest.briefs) {
            boolean known = briefs.stream().anyMatch(own -> own.name().equals(brief.name()));
            all = known ? all : all.saving(brief.name(), brief.address());
        }
        return all;
    }

    /** With these plans instead of those before. */
    Kept with(PlanBook other) {
        return new Kept(other, briefs, record, offered);
    }
}
