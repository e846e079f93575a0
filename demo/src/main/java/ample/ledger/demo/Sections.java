package ample.ledger.demo;

import ample.ledger.demo.Bookings.Halves;
import ample.ledger.demo.Catalogue.Draft;
import ample.ledger.demo.House.CampusPlan;
import ample.ledger.demo.House.Flag;
import ample.ledger.demo.Timetable.Placed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Makes the sections of a term: codes, kinds, seats, companions, exams, notes. */
final class Sections {

    private static final LocalDate HELD_UNTIL = LocalDate.of(2031, 8, 1);

    private final Rows rows;
    private final House house;
    private final TermPlan term;
    private final Dice dice;
    private final Timetable timetable;
    private final MeetingRows meetings;
    private final Map<String, Integer> ordinals = new HashMap<>();
    private final List<String> sectionNotes =
            Objects.requireNonNull(Vocabulary.phrases().get("section-notes"));
    private int nextEntry;

    Sections(Rows rows, House house, TermPlan term, Dice dice, Timetable timetable) {
        this.rows = rows;
        this.house = house;
        this.term = term;
        this.dice = dice;
        this.timetable = timetable;
        this.meetings = new MeetingRows(rows, term, dice, timetable);
        this.nextEntry = term.firstEntry();
    }

    /** Adds sections until there are so many. */
    void make(List<Draft> drafts, int target) {
        List<Draft> offered = new ArrayList<>();
        for (Draft draft : drafts) {
            boolean begunBefore =
                    draft.weight() == Draft.Weight.DOUBLE && term.bothTerms().isEmpty();
            if (!begunBefore && dice.chance(0.93)) {
                offered.add(draft);
            }
        }
        // In no order of subjects, so that a small term has something of everything.
        for (Draft draft : dice.shuffled(offered)) {
            if (rows.of("sections").size() < target) {
                group(draft);
            }
        }
        Supplier<Draft> again = dice.drawing(offered, draft -> draft.level() == 1 ? 12 : draft.level() == 2 ? 5 : 1);
        while (rows.of("sections").size() < target) {
            group(again.get());
        }
    }

    /** One section of the course, and the companions that it needs. */
    private void group(Draft draft) {
        boolean large = draft.level() == 1 || draft.level() == 2 && dice.chance(0.5);
        boolean science = draft.subject().toward().contains("natural-world");
        double kind = dice.between(0, 99) / 100.0;
        if (draft.weight() == Draft.Weight.DOUBLE) {
            lead(draft, "seminar", Slot.EVENINGS, 14, List.of());
        } else if (large && kind < 0.2) {
            companions(draft, lead(draft, "lecture", Slot.LECTURES, dice.between(48, 96), List.of()), science);
        } else if (kind < 0.27) {
            lead(draft, "lecture", Slot.LECTURES, 30 + dice.between(0, 60), List.of(Flag.UNTIMED));
        } else if (kind < 0.33) {
            lead(draft, "lecture", Slot.EVENINGS, 36, List.of(Flag.ONLINE_TIMED));
        } else if (kind < 0.41) {
            lead(draft, "lecture", Slot.EVENINGS, dice.between(20, 45), List.of(Flag.EVENING));
        } else if (kind < 0.46) {
            lead(draft, "lecture", Slot.LECTURES, dice.between(20, 36), List.of(Flag.MIXED));
        } else if (kind < 0.49) {
            lead(
                    draft,
                    draft.subject().toward().contains("making") ? "studio" : "lecture",
                    Slot.SATURDAYS,
                    22,
                    List.of());
        } else if (draft.subject().toward().contains("making") && kind < 0.85) {
            lead(draft, "studio", Slot.LONG, dice.between(12, 20), List.of());
        } else if (draft.level() >= 3 && kind < 0.8) {
            lead(draft, "seminar", kind < 0.65 ? Slot.LONG : Slot.LECTURES, dice.between(10, 24), List.of());
        } else {
            lead(draft, "lecture", Slot.LECTURES, dice.between(24, 60), List.of());
        }
    }

    /** A section as it was made, for its companions. */
    private record Made(
            String entry,
            String code,
            CampusPlan campus,
            String span,
            @Nullable Slot slot) {}

    private Made lead(Draft draft, String kind, List<Slot> slots, int seats, List<Flag> wanted) {
        boolean online = wanted.contains(Flag.ONLINE_TIMED) || wanted.contains(Flag.UNTIMED);
        if (online && house.remote().isEmpty()) {
            return lead(draft, kind, slots, seats, List.of());
        }
        String span = span(draft);
        CampusPlan campus = campus(draft);
        List<Flag> flags = new ArrayList<>(wanted);
        @Nullable Placed placed = wanted.contains(Flag.UNTIMED)
                ? null
                : timetable.place(draft.subject().code(), campus, slots, seats, halves(span), online);
        if (placed != null && placed.slot().evening() && !online && !flags.contains(Flag.EVENING)) {
            flags.add(Flag.EVENING);
        }
        boolean reserved = draft.level() >= 2 && !house.programmes().isEmpty() && dice.chance(0.03);
        if (reserved) {
            flags.add(Flag.RESERVED);
        }
        String series = house.codes().series(kind, online ? "X" : campus.letter());
        int ordinal = ordinals.merge(draft.subject().code() + " " + draft.number() + " " + series, 1, Integer::sum);
        String code = house.codes().section(series, ordinal, flags);
        String entry = entry();
        String delivery = wanted.contains(Flag.UNTIMED)
                ? "online-untimed"
                : online ? "online-timed" : flags.contains(Flag.MIXED) ? "mixed" : "on-site";
        section(draft, entry, code, kind, online ? house.remote() : campus.code(), delivery, span, seats, placed);
        if (placed == null) {
            meetings.meetArranged(entry, kind, dice.of(List.of("2.5", "3", "3.4")));
            taughtBy(entry, timetable.person(draft.subject().code()));
        } else {
            meetings.meet(entry, 1, kind, placed, online);
            if (flags.contains(Flag.MIXED)) {
                rows.add(
                        "meetings",
                        entry,
                        2,
                        "discussion",
                        "arranged",
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        new BigDecimal("1"),
                        "online",
                        null,
                        null,
                        null);
            }
            if (dice.chance(0.05) && !online && span.equals(term.fullTerm()) && placed.person() != null) {
                meetings.fieldDay(entry, placed.person());
            }
        }
        if (reserved) {
            restrict(draft, entry);
        }
        if (placed != null && kind.equals("lecture") && span.equals(term.fullTerm()) && dice.chance(0.6)) {
            timetable
                    .sit(term.examDays(), campus, seats, placed.person())
                    .ifPresent(sitting -> rows.add(
                            "exams",
                            entry,
                            1,
                            sitting.day(),
                            sitting.from(),
                            sitting.to(),
                            "room",
                            sitting.room().building(),
                            sitting.room().number(),
                            null));
        }
        if (dice.chance(0.05)) {
            rows.add("notes", rows.next("notes"), draft.subject().code(), draft.number(), entry, dice.of(sectionNotes));
        }
        return new Made(entry, code, campus, span, placed == null ? null : placed.slot());
    }

    private void companions(Draft draft, Made lead, boolean science) {
        String kind = science ? "lab" : "discussion";
        int count = dice.between(2, 4);
        for (int i = 0; i < count; i++) {
            int seats = dice.between(14, 24);
            @Nullable Placed placed = timetable.placeBeside(
                    lead.slot(),
                    draft.subject().code(),
                    lead.campus(),
                    science ? Slot.LONG : Slot.SHORT,
                    seats,
                    halves(lead.span()));
            if (placed == null) {
                continue;
            }
            String entry = entry();
            section(
                    draft,
                    entry,
                    house.codes().companion(lead.code(), kind, i),
                    kind,
                    lead.campus().code(),
                    "on-site",
                    lead.span(),
                    seats,
                    placed);
            meetings.meet(entry, 1, kind, placed, false);
            rows.add("companions", entry, kind, lead.entry());
        }
    }

    private void section(
            Draft draft,
            String entry,
            String code,
            String kind,
            String campus,
            String delivery,
            String span,
            int seats,
            @Nullable Placed placed) {
        rows.add("seat_pools", seats(entry, seats, placed));
        rows.add(
                "sections",
                entry,
                term.code(),
                draft.subject().code(),
                draft.number(),
                code,
                kind,
                campus,
                delivery,
                span,
                entry,
                false,
                dice.chance(0.01) ? "pt" : null,
                dice.chance(0.2),
                null,
                null,
                null);
        if (placed != null && placed.person() != null) {
            taughtBy(entry, placed.person());
        }
        if (draft.level() >= 2 && !house.programmes().isEmpty() && dice.chance(0.02)) {
            String programme = dice.of(house.programmes());
            rows.add(
                    "held_seats",
                    entry,
                    named(programme) + " students",
                    Math.max(1, seats / 6),
                    HELD_UNTIL,
                    "programme",
                    programme);
        }
    }

    /** Scarcer in popular hours and early in the day, more of them free later. */
    private Object[] seats(String entry, int capacity, @Nullable Placed placed) {
        double fill = 0.78;
        if (placed != null) {
            int hour = placed.slot().start().getHour();
            fill = 1.02 - 0.032 * Math.abs(hour - 9) - (placed.slot().days().contains(5) ? 0.25 : 0);
        }
        fill += 0.2 * dice.bell();
        int enrolled = Math.max(0, Math.min(capacity, (int) Math.round(capacity * fill)));
        int waitlist = dice.chance(0.7) ? 5 * dice.between(1, 4) : 0;
        boolean full = enrolled == capacity;
        if (full && dice.chance(0.02)) {
            enrolled++;
        }
        int waiting =
                full && waitlist > 0 ? Math.min(waitlist, Math.max(0, (int) ((fill - 0.95) * capacity * 0.6))) : 0;
        int promised = !full && capacity - enrolled > 2 && waitlist > 0 && dice.chance(0.03) ? 1 : 0;
        return new Object[] {entry, capacity, waitlist, enrolled, waiting, promised};
    }

    private String span(Draft draft) {
        if (draft.weight() == Draft.Weight.DOUBLE) {
            return term.bothTerms();
        }
        if (draft.weight() == Draft.Weight.MODULE || dice.chance(0.08)) {
            return dice.chance(0.5) ? term.firstHalf() : term.secondHalf();
        }
        return !term.lateStart().isEmpty() && dice.chance(0.03) ? term.lateStart() : term.fullTerm();
    }

    private Halves halves(String span) {
        return span.equals(term.firstHalf())
                ? Halves.FIRST
                : span.equals(term.secondHalf()) ? Halves.SECOND : Halves.BOTH;
    }

    private CampusPlan campus(Draft draft) {
        return house.campuses().stream()
                .filter(campus -> campus.code().equals(draft.subject().home()))
                .filter(home -> dice.chance(0.85))
                .findFirst()
                .orElseGet(() -> dice.of(house.campuses()));
    }

    private void restrict(Draft draft, String entry) {
        String programme = dice.of(house.programmes());
        rows.add(
                "restrictions",
                rows.next("restrictions"),
                draft.subject().code(),
                draft.number(),
                entry,
                "include",
                "programme",
                programme,
                dice.chance(0.5) ? HELD_UNTIL : null,
                "For students of " + named(programme) + ".");
    }

    private String named(String programme) {
        return rows.of("programmes").stream()
                .filter(row -> row.text("programme").equals(programme))
                .map(row -> row.text("name"))
                .findFirst()
                .orElseThrow();
    }

    private void taughtBy(String entry, String person) {
        rows.add("section_instructors", entry, person);
    }

    private String entry() {
        nextEntry += dice.between(1, 3);
        return String.valueOf(nextEntry);
    }
}
