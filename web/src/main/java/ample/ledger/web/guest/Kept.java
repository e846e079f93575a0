package ample.ledger.web.guest;

import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.io.Serializable;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * What is kept for one visitor: the sections of their week by term, briefs under names, and what they said of their record.
 * Immutable.
 *
 * @param week entry numbers, in the order they were added, by the code of the term
 * @param briefs in the order they were saved
 */
public record Kept(Map<String, List<String>> week, List<SavedBrief> briefs, KeptRecord record) implements Serializable {

    private static final long serialVersionUID = 1L;
    private static final String ATTRIBUTE = "kept";

    /** From the last visit on. */
    private static final Duration LONG = Duration.ofDays(60);

    private static final int MOST_SECTIONS = 40;
    private static final int MOST_BRIEFS = 30;
    private static final int LONGEST_NAME = 60;

    private static final Kept NOTHING = new Kept(Map.of(), List.of(), KeptRecord.NONE);

    /** @param record null in a session that is older than records */
    public Kept(Map<String, List<String>> week, List<SavedBrief> briefs, @Nullable KeptRecord record) {
        this.week = Map.copyOf(week);
        this.briefs = List.copyOf(briefs);
        this.record = record == null ? KeptRecord.NONE : record;
    }

    /**
     * A brief under a name.
     *
     * @param address where it is looked at; a page of this application
     */
    public record SavedBrief(String name, String address) implements Serializable {}

    /** What is kept for who sends {@code request}; reading it begins no session. */
    public static Kept of(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session != null && session.getAttribute(ATTRIBUTE) instanceof Kept kept ? kept : NOTHING;
    }

    /** Changes what is kept, and keeps it for a long time. */
    public static Kept change(HttpServletRequest request, UnaryOperator<Kept> change) {
        Kept after = change.apply(of(request));
        HttpSession session = request.getSession();
        session.setAttribute(ATTRIBUTE, after);
        session.setMaxInactiveInterval((int) LONG.toSeconds());
        return after;
    }

    /** The entry numbers of the sections of one term. */
    public List<EntryNumber> week(String term) {
        return week.getOrDefault(term, List.of()).stream()
                .flatMap(entry -> EntryNumber.parse(entry).stream())
                .toList();
    }

    /** The sections of one term that are still posted for it. */
    public List<Section> week(Schedule schedule) {
        return week(schedule.term().code()).stream()
                .flatMap(entry -> schedule.section(entry).stream())
                .toList();
    }

    /** With these sections too; each once, and no more than a week can hold. */
    public Kept adding(String term, List<EntryNumber> entries) {
        List<String> sections = new ArrayList<>(week.getOrDefault(term, List.of()));
        for (EntryNumber entry : entries) {
            if (!sections.contains(entry.digits()) && sections.size() < MOST_SECTIONS) {
                sections.add(entry.digits());
            }
        }
        return with(term, sections);
    }

    public Kept removing(String term, List<EntryNumber> entries) {
        List<String> sections = new ArrayList<>(week.getOrDefault(term, List.of()));
        entries.forEach(entry -> sections.remove(entry.digits()));
        return with(term, sections);
    }

    private Kept with(String term, List<String> sections) {
        Map<String, List<String>> after = new LinkedHashMap<>(week);
        after.put(term, List.copyOf(sections));
        return new Kept(after, briefs, record);
    }

    /** With a brief under a name; one of the same name is replaced, and beyond some the oldest goes. */
    public Kept saving(String name, String address) {
        String shown = name.isBlank() ? "A brief" : name.strip();
        SavedBrief saved =
                new SavedBrief(shown.length() > LONGEST_NAME ? shown.substring(0, LONGEST_NAME) : shown, address);
        List<SavedBrief> after = new ArrayList<>(forgetting(saved.name()).briefs);
        after.add(saved);
        return new Kept(week, after.subList(Math.max(0, after.size() - MOST_BRIEFS), after.size()), record);
    }

    public Kept forgetting(String name) {
        return new Kept(
                week,
                briefs.stream().filter(brief -> !brief.name().equals(name)).toList(),
                record);
    }

    /** With this record instead of the one before. */
    public Kept with(KeptRecord other) {
        return new Kept(week, briefs, other);
    }
}
