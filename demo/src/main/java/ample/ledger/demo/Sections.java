package ample.ledger.demo;

import ample.ledger.core.calendar.Timing;
import ample.ledger.core.schedule.Instructor;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Section;
import ample.ledger.demo.Bookings.Halves;
import ample.ledger.demo.Catalogue.Draft;
import ample.ledger.demo.House.CampusPlan;
import ample.ledger.demo.House.Flag;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Makes the sections of a term: hours, rooms, people, seats, companions, exams, notes. */
final class Sections {

    /** How often another hour is tried before a section meets online or its room stays to be announced. */
    private static final int TRIES = 60;

    private static final LocalDate HELD_UNTIL = LocalDate.of(2031, 8, 1);

    private record Room(String building, String number, int seats) {}

    /** Where a class was put; without a room it is to be announced. */
    private record Placed(
            Slot slot, @Nullable Room room, @Nullable String person) {}

    private final Rows rows;
    private final House house;
    private final TermPlan term;
    private final Dice dice;
    private final Bookings bookings = new Bookings();
    private final Bookings examBookings = new Bookings();
    private final Map<String, List<Room>> roomsOf = new HashMap<>();
    private final Map<String, List<String>> peopleOf = new HashMap<>();
    private final Map<String, Integer> ordinals = new HashMap<>();
    private final List<String> sectionNotes = Vocabulary.phrases().get("section-notes");
    private int nextEntry;

    /**
     * @param size about how many sections the rooms and people must do for
     * @param subjects codes, among which people are shared out
     */
    Sections(Rows rows, House house, TermPlan term, Dice dice, int size, List<String> subjects) {
        this.rows = rows;
        this.house = house;
        this.term = term;
        this.dice = dice;
        this.nextEntry = term.firstEntry();
        makeRooms(size);
        makePeople(size, subjects);
    }

    /** Takes the hours, rooms and people of sections that are there already. */
    void respect(List<Section> sections) {
        for (Section section : sections) {
            for (Meeting meeting : section.meetings()) {
                meeting.timing().time().ifPresent(time -> {
                    List<Integer> days = meeting.timing().days().list().stream()
                            .map(day -> day.getValue() - DayOfWeek.MONDAY.getValue())
                            .toList();
                    if (meeting.place() instanceof Place.Room room) {
                        bookings.take(
                                room.building().code() + " " + room.room(),
                                days,
                                time.start(),
                                time.end(),
                                Halves.BOTH);
                    }
                    for (Instructor person : section.instructors()) {
                        bookings.take(person.code(), days, time.start(), time.end(), Halves.BOTH);
                    }
                });
            }
            for (Meeting exam : section.exams()) {
                Timing.Once once = (Timing.Once) exam.timing();
                List<Integer> days = List.of(once.date().getDayOfWeek().getValue() - 1);
                if (exam.place() instanceof Place.Room room) {
                    examBookings.take(
                            room.building().code() + " " + room.room(),
                            days,
                            once.hours().start(),
                            once.hours().end(),
                            Halves.BOTH);
                }
                section.instructors()
                        .forEach(person -> examBookings.take(
                                person.code(),
                                days,
                                once.hours().start(),
                                once.hours().end(),
                                Halves.BOTH));
            }
        }
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
        while (rows.of("sections").size() < target) {
            group(dice.of(offered, draft -> draft.level() == 1 ? 12 : draft.level() == 2 ? 5 : 1));
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
        @Nullable Placed placed = wanted.contains(Flag.UNTIMED) ? null : place(draft, campus, slots, seats, span, online);
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
            meetArranged(entry, kind, dice.of(List.of("2.5", "3", "3.4")));
            taughtBy(entry, dice.of(people(draft)));
        } else {
            meet(entry, 1, kind, placed, online);
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
                fieldDay(entry, placed.person());
            }
        }
        if (reserved) {
            restrict(draft, entry);
        }
        if (placed != null && kind.equals("lecture") && span.equals(term.fullTerm()) && dice.chance(0.6)) {
            exam(entry, campus, seats, placed.person());
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
            @Nullable Placed placed = placeBeside(draft, lead, science ? Slot.LONG : Slot.SHORT, seats);
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
            meet(entry, 1, kind, placed, false);
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

    /** A slot with a room and a person who are free; the last try leaves the room to be announced. */
    private Placed place(Draft draft, CampusPlan campus, List<Slot> slots, int seats, String span, boolean online) {
        Halves halves = halves(span);
        @Nullable Placed found = null;
        for (int i = 0; i < TRIES && found == null; i++) {
            found = tryToPlace(draft, campus, dice.of(slots, Slot::weight), seats, halves, online);
        }
        Placed placed = found == null ? new Placed(dice.of(slots), null, null) : found;
        return taken(placed, halves);
    }

    /** As {@link #place}, outside the hours of the section that it goes with; null when there is nothing. */
    private @Nullable Placed placeBeside(Draft draft, Made lead, List<Slot> slots, int seats) {
        Halves halves = halves(lead.span());
        for (int i = 0; i < TRIES; i++) {
            Slot slot = dice.of(slots, Slot::weight);
            if (lead.slot() == null || !overlap(slot, lead.slot())) {
                @Nullable Placed found = tryToPlace(draft, lead.campus(), slot, seats, halves, false);
                if (found != null) {
                    return taken(found, halves);
                }
            }
        }
        return null;
    }

    private @Nullable Placed tryToPlace(
            Draft draft, CampusPlan campus, Slot slot, int seats, Halves halves, boolean online) {
        @Nullable Room room = online ? null : freeRoom(campus, slot, seats, halves);
        if (!online && room == null) {
            return null;
        }
        String person = dice.of(people(draft));
        return bookings.isFree(person, slot.days(), slot.start(), slot.end(), halves)
                ? new Placed(slot, room, dice.chance(0.03) ? null : person)
                : null;
    }

    private @Nullable Room freeRoom(CampusPlan campus, Slot slot, int seats, Halves halves) {
        List<Room> rooms = roomsOf.get(campus.code());
        for (int i = 0; i < 12; i++) {
            Room room = dice.of(rooms);
            if (room.seats() >= seats
                    && bookings.isFree(
                            room.building() + " " + room.number(), slot.days(), slot.start(), slot.end(), halves)) {
                return room;
            }
        }
        return null;
    }

    private Placed taken(Placed placed, Halves halves) {
        Slot slot = placed.slot();
        if (placed.room() != null) {
            bookings.take(
                    placed.room().building() + " " + placed.room().number(),
                    slot.days(),
                    slot.start(),
                    slot.end(),
                    halves);
        }
        if (placed.person() != null) {
            bookings.take(placed.person(), slot.days(), slot.start(), slot.end(), halves);
        }
        return placed;
    }

    private static boolean overlap(Slot one, Slot other) {
        return one.days().stream().anyMatch(other.days()::contains)
                && one.start().isBefore(other.end())
                && other.start().isBefore(one.end());
    }

    private void meet(String entry, int number, String kind, Placed placed, boolean online) {
        @Nullable Room room = placed.room();
        String place = online ? "online" : room == null ? "to-be-announced" : "room";
        rows.add(
                "meetings",
                entry,
                number,
                kind,
                "weekly",
                placed.slot().daysWritten(),
                null,
                placed.slot().start(),
                placed.slot().end(),
                null,
                null,
                null,
                place,
                room == null ? null : room.building(),
                room == null ? null : room.number(),
                null);
    }

    private void meetArranged(String entry, String kind, String hours) {
        rows.add(
                "meetings",
                entry,
                1,
                kind,
                "arranged",
                null,
                null,
                null,
                null,
                null,
                null,
                new BigDecimal(hours),
                "online",
                null,
                null,
                null);
    }

    private void fieldDay(String entry, String person) {
        List<Integer> saturday = List.of(5);
        LocalTime from = LocalTime.of(8, 30);
        LocalTime to = LocalTime.of(16, 30);
        if (bookings.isFree(person, saturday, from, to, Halves.BOTH)) {
            bookings.take(person, saturday, from, to, Halves.BOTH);
            rows.add(
                    "meetings",
                    entry,
                    9,
                    "field-day",
                    "once",
                    null,
                    dice.of(term.saturdays()),
                    from,
                    to,
                    null,
                    null,
                    null,
                    "named",
                    null,
                    null,
                    dice.of(List.of(
                            "by bus from the gate",
                            "the old quarry",
                            "the north shore",
                            "the market square",
                            "the weir")));
        }
    }

    private void exam(String entry, CampusPlan campus, int seats, @Nullable String person) {
        for (int i = 0; i < TRIES && !term.examDays().isEmpty(); i++) {
            LocalDate day = dice.of(term.examDays());
            LocalTime from = LocalTime.of(dice.of(List.of(9, 13, 16)), 0);
            LocalTime to = from.plusMinutes(120);
            List<Integer> days = List.of(day.getDayOfWeek().getValue() - 1);
            Room room = dice.of(roomsOf.get(campus.code()));
            String key = room.building() + " " + room.number();
            if (room.seats() >= seats
                    && examBookings.isFree(key, days, from, to, Halves.BOTH)
                    && (person == null || examBookings.isFree(person, days, from, to, Halves.BOTH))) {
                examBookings.take(key, days, from, to, Halves.BOTH);
                if (person != null) {
                    examBookings.take(person, days, from, to, Halves.BOTH);
                }
                rows.add("exams", entry, 1, day, from, to, "room", room.building(), room.number(), null);
                return;
            }
        }
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

    private List<String> people(Draft draft) {
        return peopleOf.get(draft.subject().code());
    }

    private String entry() {
        nextEntry += dice.between(1, 3);
        return String.valueOf(nextEntry);
    }

    private void makeRooms(int size) {
        int buildings = house.campuses().stream()
                .mapToInt(campus -> campus.buildings().size())
                .sum();
        int each = Math.max(6, size / (9 * buildings));
        for (CampusPlan campus : house.campuses()) {
            List<Room> rooms = new ArrayList<>();
            for (String building : campus.buildings()) {
                for (int i = 0; i < each; i++) {
                    int seats = dice.of(List.of(24, 24, 30, 36, 48, 60, 100));
                    rooms.add(new Room(building, String.valueOf(100 * (1 + i / 20) + i % 20 + 10), seats));
                }
            }
            roomsOf.put(campus.code(), rooms);
        }
    }

    private void makePeople(int size, List<String> subjects) {
        Set<String> known = new HashSet<>();
        rows.of("instructors").forEach(row -> known.add(row.text("instructor")));
        int each = Math.max(4, size / (7 * subjects.size()));
        List<String> names = Vocabulary.surnames(each * subjects.size(), dice);
        int at = 0;
        for (String subject : subjects) {
            List<String> people = new ArrayList<>();
            for (int i = 0; i < each; i++) {
                String name = names.get(at++);
                String code = name.toLowerCase(Locale.ROOT);
                if (known.add(code)) {
                    rows.add("instructors", code, name);
                }
                people.add(code);
            }
            peopleOf.put(subject, people);
        }
    }
}
