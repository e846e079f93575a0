package ample.ledger.core.plan;

import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.text.PlainText;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/**
 * The sections that a student intends to take in a season, with what is kept beside them, the student's busy times and notes.
 * Immutable. It holds each section once, whatever its standing.
 *
 * @param id names it among the plans of its student
 * @param season the code of its season
 * @param name as its student calls it; not blank
 * @param picks in the order they were taken in
 * @param notes in the student's own words
 */
public record Plan(String id, SeasonCode season, String name, List<Pick> picks, List<BusyTime> busy, String notes) {

    /** More sections than any week can hold. */
    public static final int MOST_PICKS = 60;

    /** More busy times than that are cut off. A week of 20 shifts and 40 single dates fits. */
    public static final int MOST_BUSY = 60;

    /** More characters than these of a name are cut off. */
    public static final int LONGEST_NAME = 60;

    private static final int LONGEST_NOTES = 4000;

    public Plan {
        name = cut(PlainText.onOneLine(name).strip(), LONGEST_NAME);
        if (name.isBlank()) {
            throw new IllegalArgumentException("A plan needs a name");
        }
        picks = List.copyOf(picks);
        busy = busy.stream().limit(MOST_BUSY).toList();
        notes = cut(PlainText.of(notes), LONGEST_NOTES);
    }

    /** One with nothing in it. */
    public static Plan empty(String id, SeasonCode season, String name) {
        return new Plan(id, season, name, List.of(), List.of(), "");
    }

    private static String cut(String text, int longest) {
        return text.length() > longest ? text.substring(0, longest) : text;
    }

    /** How a section stands in it; empty where it does not hold it. */
    public Optional<Standing> standing(TermCode term, EntryNumber entry) {
        return picks.stream()
                .filter(pick -> pick.names(term, entry))
                .map(Pick::standing)
                .findFirst();
    }

    /**
     * With these too. What it holds already keeps its place and gets the standing of the new one; beyond
     * {@link #MOST_PICKS} nothing is taken in.
     */
    public Plan adding(Collection<Pick> more) {
        List<Pick> after = new ArrayList<>(picks);
        for (Pick pick : more) {
            int at = indexOf(after, pick);
            if (at >= 0) {
                after.set(at, pick);
            } else if (after.size() < MOST_PICKS) {
                after.add(pick);
            }
        }
        return with(after);
    }

    private static int indexOf(List<Pick> picks, Pick pick) {
        for (int i = 0; i < picks.size(); i++) {
            if (picks.get(i).names(pick.term(), pick.entry())) {
                return i;
            }
        }
        return -1;
    }

    /** Without the sections that are meant. */
    public Plan removing(Predicate<Pick> meant) {
        return with(picks.stream().filter(meant.negate()).toList());
    }

    /** With {@code in} in the place of the first of {@code out}, and without the rest of those. */
    public Plan replacing(Collection<Pick> out, Collection<Pick> in) {
        List<Pick> after = new ArrayList<>();
        boolean done = false;
        for (Pick pick : picks) {
            boolean leaves = out.stream().anyMatch(gone -> gone.names(pick.term(), pick.entry()));
            if (leaves && !done) {
                after.addAll(in);
                done = true;
            } else if (!leaves && indexOf(List.copyOf(in), pick) < 0) {
                after.add(pick);
            }
        }
        return done ? with(after) : with(after).adding(in);
    }

    public Plan with(List<Pick> others) {
        return new Plan(id, season, name, others, busy, notes);
    }

    public Plan named(String other) {
        return other.isBlank() ? this : new Plan(id, season, other, picks, busy, notes);
    }

    /** With what {@code change} makes of its busy times. */
    public Plan busy(UnaryOperator<List<BusyTime>> change) {
        return new Plan(id, season, name, picks, change.apply(busy), notes);
    }

    public Plan noted(String words) {
        return new Plan(id, season, name, picks, busy, words);
    }

    /** The same under another id and name. */
    public Plan copy(String otherId, String otherName) {
        return new Plan(otherId, season, otherName, picks, busy, notes);
    }
}
