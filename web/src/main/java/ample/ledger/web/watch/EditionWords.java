package ample.ledger.web.watch;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.edition.SectionChange;
import ample.ledger.core.edition.SectionChange.What;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.Obstacle;
import ample.ledger.core.plan.Swap;
import ample.ledger.core.schedule.Restriction;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.watch.Concern.Why;
import ample.ledger.core.watch.EditionNotice;
import ample.ledger.web.plan.PlanTokens;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.watch.NoticeContent.Action;
import ample.ledger.web.watch.NoticeContent.Field;
import ample.ledger.web.words.ObstacleSentences;
import ample.ledger.web.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says what a new edition is to a student. Times are written as most readers write them: a notice is kept, and does not know who reads it where. */
final class EditionWords {

    private static final ClockStyle CLOCK = ClockStyle.HOURS_24;
    private static final ObstacleSentences OBSTACLES = new ObstacleSentences(CLOCK);
    private static final int MOST_REMEDIES = 2;
    private static final int MOST_SECTIONS = 8;

    /** Whether a section has a seat for the student. */
    private final Predicate<Attendance> hasSeat;

    EditionWords(Predicate<Attendance> hasSeat) {
        this.hasSeat = hasSeat;
    }

    NoticeContent of(EditionNotice.Changed changed) {
        Attendance attendance = changed.section();
        List<String> lines = new ArrayList<>();
        lines.add(why(changed.why()));
        if (!changed.posted()) {
            lines.add("It is no longer posted.");
        }
        changed.changes().forEach(change -> lines.add(sentence(change, attendance.section())));
        changed.obstacles().stream()
                .sorted(Comparator.comparing(obstacle -> !obstacle.stops()))
                .map(OBSTACLES::of)
                .distinct()
                .forEach(lines::add);
        changed.briefs().forEach(brief -> lines.add("It no longer fits your brief %s.".formatted(Words.quoted(brief))));
        return new NoticeContent(heading(changed), lines, actions(changed));
    }

    private static String heading(EditionNotice.Changed changed) {
        Attendance attendance = changed.section();
        Set<What> what = changed.changes().stream().map(SectionChange::what).collect(Collectors.toSet());
        if (!changed.posted()) {
            return attendance + " is no longer posted";
        }
        if (attendance.section().cancelled()) {
            return attendance + " is cancelled";
        }
        if (what.contains(What.ADDED)) {
            return attendance + " is new";
        }
        return changed.obstacles().stream().anyMatch(Obstacle.SameTime.class::isInstance)
                ? attendance + " has moved into a clash"
                : attendance + " has changed";
    }

    private static String why(Set<Why> why) {
        if (why.contains(Why.REGISTERED)) {
            return "You are registered in it.";
        }
        if (why.contains(Why.WAITING)) {
            return "You are on its waitlist.";
        }
        return why.contains(Why.PLANNED) ? "It is in your plan." : "You watch it.";
    }

    private static String sentence(SectionChange change, Section now) {
        return switch (change.what()) {
            case ADDED -> "It is newly posted: %s.".formatted(when(now));
            case CANCELLED -> "It will not be held.";
            case HELD_AFTER_ALL -> "It will be held after all.";
            case RENAMED ->
                "It is called %s %s now%s."
                        .formatted(
                                now.course().title(),
                                now.code(),
                                was(change, then -> then.course().title() + " " + then.code()));
            case MOVED -> "It meets %s now%s.".formatted(when(now), was(change, EditionWords::when));
            case SPAN ->
                "It runs %s now, %s%s."
                        .formatted(
                                Words.lowered(now.span().name()),
                                Words.dates(now.span().dates()),
                                was(change, then -> Words.lowered(then.span().name())));
            case PLACE -> "Its place is %s now%s.".formatted(place(now), was(change, EditionWords::place));
            case PEOPLE -> "It is taught by %s now%s.".formatted(people(now), was(change, EditionWords::people));
            case FEWER_SEATS ->
                "It has %s now%s."
                        .formatted(
                                Words.count(now.pool().capacity(), "seat"),
                                was(change, then -> String.valueOf(then.pool().capacity())));
            case RESTRICTED -> restricted(change, now);
        };
    }

    private static String restricted(SectionChange change, Section now) {
        Set<Restriction> before =
                change.before().stream().flatMap(EditionWords::restrictions).collect(Collectors.toSet());
        return "Not everybody may take it any more: "
                + restrictions(now)
                        .filter(restriction -> !before.contains(restriction))
                        .map(Restriction::sentence)
                        .collect(Collectors.joining(" "));
    }

    private static Stream<Restriction> restrictions(Section section) {
        return Stream.concat(section.restrictions().stream(), section.course().rules().restrictions().stream());
    }

    private static String was(SectionChange change, Function<Section, String> of) {
        return change.before().map(then -> " (before: " + of.apply(then) + ")").orElse("");
    }

    private static String when(Section section) {
        return section.timings().isEmpty()
                ? "at no announced time"
                : section.timings().stream()
                        .map(timing -> Words.when(timing, CLOCK))
                        .collect(Collectors.joining("; "));
    }

    private static String place(Section section) {
        String where = Words.where(section);
        return where.isEmpty() ? "not announced" : where;
    }

    private static String people(Section section) {
        return section.instructors().isEmpty() ? "somebody not announced yet" : Words.who(section);
    }

    private List<Action> actions(EditionNotice.Changed changed) {
        Attendance attendance = changed.section();
        TermCode term = attendance.term().code();
        Addresses addresses = new Addresses(term);
        List<Action> actions = new ArrayList<>();
        boolean registered =
                changed.why().contains(Why.REGISTERED) || changed.why().contains(Why.WAITING);
        if (registered) {
            actions.add(Action.link(
                    "Drop or swap it",
                    Addresses.with(
                            "/" + term + "/registration/change",
                            "entry",
                            attendance.section().entry().digits())));
        } else if (changed.why().contains(Why.PLANNED)) {
            changed.remedies().stream()
                    .sorted(Comparator.comparing(swap -> !swap.in().stream().allMatch(hasSeat)))
                    .limit(MOST_REMEDIES)
                    .map(swap -> swap(swap, term))
                    .forEach(actions::add);
        }
        if (changed.posted()) {
            actions.add(Action.link(
                    "See the sheet", addresses.sheet(attendance.section().entry(), Brief.EVERYTHING)));
        } else {
            actions.add(Action.link(
                    "See the other sections of the course",
                    addresses.course(attendance.section().course().code(), Brief.EVERYTHING)));
        }
        if (!changed.why().equals(Set.of(Why.WATCHED))) {
            actions.add(Action.link("See it in My week", "/" + term + "/week"));
        }
        return actions;
    }

    private Action swap(Swap swap, TermCode term) {
        String comes = swap.in().stream().map(Object::toString).collect(Collectors.joining(" and "));
        return new Action(
                "Take " + comes + " instead" + (swap.in().stream().allMatch(hasSeat) ? "" : " (no seat open)"),
                "/" + term + "/week/swap",
                List.of(
                        new Field("out", PlanTokens.of(swap.out(), term)),
                        new Field("in", PlanTokens.of(swap.in(), term))));
    }

    /** @param address of the list that the brief makes */
    NoticeContent of(EditionNotice.Fits fits, String address) {
        List<String> lines = new ArrayList<>();
        fits.sections().stream()
                .limit(MOST_SECTIONS)
                .map(attendance -> "%s %s: %s."
                        .formatted(attendance, attendance.section().course().title(), when(attendance.section())))
                .forEach(lines::add);
        if (fits.sections().size() > MOST_SECTIONS) {
            lines.add("And %d more.".formatted(fits.sections().size() - MOST_SECTIONS));
        }
        return new NoticeContent(
                "%s now %s your brief %s"
                        .formatted(
                                Words.count(fits.sections().size(), "section"),
                                fits.sections().size() == 1 ? "fits" : "fit",
                                Words.quoted(fits.brief())),
                lines,
                List.of(Action.link("See the sections that fit", address)));
    }
}
