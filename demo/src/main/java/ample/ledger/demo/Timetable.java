package ample.ledger.demo;

import ample.ledger.core.calendar.Timing;
import ample.ledger.core.schedule.Instructor;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Section;
import ample.ledger.demo.Bookings.Halves;
import ample.ledger.demo.House.CampusPlan;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Finds hours, rooms and people for classes and exams, none of them in two places at once. */
final class Timetable {

    /** How often another hour is tried before a class is left without a room. */
    private static final int TRIES = 60;

    /** A room and the seats in it. */
    record Room(String building, String number, int seats) {

        private String key() {
            return building + " " + number;
        }
    }

    /** Where a class was put; without a room it is to be announced, and so is the person. */
    record Placed(Slot slot, @Nullable Room room, @Nullable String person) {}

    /** Where and when an exam was put. */
    record Sitting(LocalDate day, LocalTime from, LocalTime to, Room room) {}

    private final Dice dice;
    private final Bookings bookings = new Bookings();
    private final Bookings examBookings = new Bookings();
    private final Map<String, List<Room>> roomsOf = new HashMap<>();
    private final Map<String, List<String>> peopleOf = new HashMap<>();

    /**
     * Adds the people that it makes to the rows.
     *
     * @param size about how many sections the rooms and people must do for
     * @param subjects codes, among which people are shared out
     */
    Timetable(Rows rows, House house, Dice dice, int size, List<String> subjects) {
        this.dice = dice;
        makeRooms(house, size);
        makePeople(rows, size, subjects);
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

    /** A slot with a room and a person who are free; the last try leaves the room to be announced. */
    Placed place(String subject, CampusPlan campus, List<Slot> slots, int seats, Halves halves, boolean online) {
        @Nullable Placed found = null;
        for (int i = 0; i < TRIES && found == null; i++) {
            found = tryToPlace(subject, campus, dice.of(slots, Slot::weight), seats, halves, online);
        }
        Placed placed = found == null ? new Placed(dice.of(slots), null, null) : found;
        return taken(placed, halves);
    }

    /**
     * As {@link #place}, at a place and outside the hours of the class that it goes with; null when there is nothing.
     *
     * @param beside null when that class has no hours
     */
    @Nullable Placed placeBeside(
            @Nullable Slot beside, String subject, CampusPlan campus, List<Slot> slots, int seats, Halves halves) {
        for (int i = 0; i < TRIES; i++) {
            Slot slot = dice.of(slots, Slot::weight);
            if (beside == null || !overlap(slot, beside)) {
                @Nullable Placed found = tryToPlace(subject, campus, slot, seats, halves, false);
                if (found != null) {
                    return taken(found, halves);
                }
            }
        }
        return null;
    }

    private @Nullable Placed tryToPlace(
            String subject, CampusPlan campus, Slot slot, int seats, Halves halves, boolean online) {
        @Nullable Room room = online ? null : freeRoom(campus, slot, seats, halves);
        if (!online && room == null) {
            return null;
        }
        String person = person(subject);
        return bookings.isFree(person, slot.days(), slot.start(), slot.end(), halves)
                ? new Placed(slot, room, dice.chance(0.03) ? null : person)
                : null;
    }

    private @Nullable Room freeRoom(CampusPlan campus, Slot slot, int seats, Halves halves) {
        List<Room> rooms = rooms(campus);
        for (int i = 0; i < 12; i++) {
            Room room = dice.of(rooms);
            if (room.seats() >= seats && bookings.isFree(room.key(), slot.days(), slot.start(), slot.end(), halves)) {
                return room;
            }
        }
        return null;
    }

    private List<Room> rooms(CampusPlan campus) {
        return Objects.requireNonNull(roomsOf.get(campus.code()));
    }

    private Placed taken(Placed placed, Halves halves) {
        Slot slot = placed.slot();
        if (placed.room() != null) {
            bookings.take(placed.room().key(), slot.days(), slot.start(), slot.end(), halves);
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

    /** Somebody of the subject, whatever else they do then. */
    String person(String subject) {
        return dice.of(Objects.requireNonNull(peopleOf.get(subject)));
    }

    /** Whether the person is free in both halves, who is taken from then on. */
    boolean take(String person, List<Integer> days, LocalTime from, LocalTime to) {
        boolean free = bookings.isFree(person, days, from, to, Halves.BOTH);
        if (free) {
            bookings.take(person, days, from, to, Halves.BOTH);
        }
        return free;
    }

    /** Two hours of one of these days in a room of the campus; empty when there is nothing. */
    Optional<Sitting> sit(List<LocalDate> examDays, CampusPlan campus, int seats, @Nullable String person) {
        for (int i = 0; i < TRIES && !examDays.isEmpty(); i++) {
            LocalDate day = dice.of(examDays);
            LocalTime from = LocalTime.of(dice.of(List.of(9, 13, 16)), 0);
            LocalTime to = from.plusMinutes(120);
            List<Integer> days = List.of(day.getDayOfWeek().getValue() - 1);
            Room room = dice.of(rooms(campus));
            if (room.seats() >= seats
                    && examBookings.isFree(room.key(), days, from, to, Halves.BOTH)
                    && (person == null || examBookings.isFree(person, days, from, to, Halves.BOTH))) {
                examBookings.take(room.key(), days, from, to, Halves.BOTH);
                if (person != null) {
                    examBookings.take(person, days, from, to, Halves.BOTH);
                }
                return Optional.of(new Sitting(day, from, to, room));
            }
        }
        return Optional.empty();
    }

    private void makeRooms(House house, int size) {
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

    private void makePeople(Rows rows, int size, List<String> subjects) {
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
