package ample.ledger.core.registrar.rules;

import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.StudentGroup;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** The seats of a registrar of one term, as people on lists. */
final class PlainSeats {

    private final Schedule schedule;
    private final Map<String, String> programmes;
    private final long hours;

    /** By pool: who sits on which sort of seat; of those who were there before any of this only that they are. */
    private final Map<String, List<Seat>> seats = new HashMap<>();

    private final Map<String, List<Waiting>> queues = new HashMap<>();

    /**
     * A seat that is not free.
     *
     * @param until empty once it is taken; before, until when it is promised
     */
    record Seat(String student, String section, String heldFor, Optional<Instant> until) {}

    record Waiting(String student, String section) {}

    PlainSeats(Schedule schedule, Map<String, String> programmes, long hours) {
        this.schedule = schedule;
        this.programmes = programmes;
        this.hours = hours;
        for (Section section : schedule.sections()) {
            SeatPool pool = section.pool();
            seats.computeIfAbsent(pool.code(), absent -> {
                List<Seat> begun = new ArrayList<>();
                for (int i = 0; i < pool.count().enrolled(); i++) {
                    begun.add(new Seat("", "", "", Optional.empty()));
                }
                for (int i = 0; i < pool.count().promised(); i++) {
                    begun.add(new Seat("", "", "", Optional.of(Instant.MAX)));
                }
                return begun;
            });
            queues.computeIfAbsent(pool.code(), absent -> {
                List<Waiting> begun = new ArrayList<>();
                for (int i = 1; i <= pool.count().waiting(); i++) {
                    begun.add(new Waiting("somebody " + i, ""));
                }
                return begun;
            });
        }
    }

    /** What of a pool is taken, promised and waited for: "12/1/3". */
    Map<String, String> counts() {
        Map<String, String> counts = new TreeMap<>();
        seats.forEach((pool, some) -> counts.put(
                pool,
                some.stream().filter(seat -> seat.until.isEmpty()).count()
                        + "/"
                        + some.stream().filter(seat -> seat.until.isPresent()).count()
                        + "/"
                        + queues.get(pool).size()));
        return counts;
    }

    /** Offers that are over go to the next. */
    void time(Instant now) {
        seats.forEach((pool, some) -> some.removeIf(
                seat -> seat.until.filter(until -> !until.isAfter(now)).isPresent()));
        seats.keySet().forEach(pool -> offer(pool, now));
    }

    /** The seat that a student has in just this section. */
    Optional<Seat> seat(String student, Section section) {
        return seats.get(section.pool().code()).stream()
                .filter(seat -> seat.student.equals(student)
                        && seat.section.equals(section.entry().digits())
                        && seat.until.isEmpty())
                .findFirst();
    }

    Optional<Seat> offer(String student, Section section) {
        return seats.get(section.pool().code()).stream()
                .filter(seat -> seat.student.equals(student) && seat.until.isPresent())
                .findFirst();
    }

    boolean waits(String student, Section section) {
        return queues.get(section.pool().code()).stream().anyMatch(waiting -> waiting.student.equals(student));
    }

    /** Takes a seat, and no longer waits for one. */
    void take(String student, Section section, Seat seat) {
        String pool = section.pool().code();
        offer(student, section).ifPresent(seats.get(pool)::remove);
        queues.get(pool).removeIf(waiting -> waiting.student.equals(student));
        seats.get(pool).add(seat);
    }

    /** Gives a seat back; who has none gives up their place on the waitlist, or else what they were offered. */
    void giveUp(String student, Section section) {
        String pool = section.pool().code();
        Optional<Seat> seat = seat(student, section);
        if (seat.isPresent()) {
            seats.get(pool).remove(seat.get());
        } else if (!queues.get(pool).removeIf(waiting -> waiting.student.equals(student))) {
            offer(student, section).ifPresent(seats.get(pool)::remove);
        }
    }

    void await(String student, Section section) {
        queues.get(section.pool().code())
                .add(new Waiting(student, section.entry().digits()));
    }

    boolean belongs(String student, StudentGroup group) {
        return group.anyOf().contains(programmes.getOrDefault(student, ""));
    }

    /** The sort of a seat that the student can have; empty where there is none. */
    Optional<String> sortOfSeat(String student, Section section, List<Section> out, Instant now) {
        Optional<String> own = offer(student, section)
                .or(() -> out.stream()
                        .filter(gone -> gone.pool().equals(section.pool()))
                        .flatMap(gone -> seat(student, gone).stream())
                        .findFirst())
                .map(Seat::heldFor);
        return own.isPresent()
                ? own
                : free(student, section.pool(), now)
                        .filter(sort -> !sort.isEmpty()
                                || queues.get(section.pool().code()).isEmpty());
    }

    private Optional<String> free(String student, SeatPool pool, Instant now) {
        LocalDate today = now.atZone(ZoneOffset.UTC).toLocalDate();
        List<Seat> taken = seats.get(pool.code());
        int free = pool.capacity() - taken.size();
        if (free <= 0) {
            return Optional.empty();
        }
        int kept = 0;
        for (SeatPool.Held held : pool.held()) {
            if (today.isAfter(held.until())) {
                continue;
            }
            int left = unclaimed(pool, held.words());
            if (left > 0
                    && held.group().filter(group -> belongs(student, group)).isPresent()) {
                return Optional.of(held.words());
            }
        }
        for (String words : pool.held().stream()
                .filter(held -> !today.isAfter(held.until()))
                .map(SeatPool.Held::words)
                .distinct()
                .toList()) {
            kept += unclaimed(pool, words);
        }
        return free - kept > 0 ? Optional.of("") : Optional.empty();
    }

    private int unclaimed(SeatPool pool, String words) {
        int held = pool.held().stream()
                .filter(one -> one.words().equals(words))
                .mapToInt(SeatPool.Held::seats)
                .sum();
        return held
                - (int) seats.get(pool.code()).stream()
                        .filter(seat -> seat.heldFor.equals(words))
                        .count();
    }

    String full(Section section) {
        return queues.get(section.pool().code()).size() < section.pool().waitlistCapacity()
                ? "full-waitlist-open"
                : "full";
    }

    /** The first who can have a free seat is offered it. */
    void offer(String pool, Instant now) {
        SeatPool posted = schedule.pool(pool).orElseThrow();
        List<Waiting> queue = queues.get(pool);
        for (int i = 0; i < queue.size(); i++) {
            Waiting first = queue.get(i);
            Optional<String> sort = free(first.student, posted, now);
            if (sort.isPresent()) {
                queue.remove(i);
                seats.get(pool)
                        .add(new Seat(
                                first.student, first.section, sort.get(), Optional.of(now.plusSeconds(hours * 3600))));
                i = -1;
            }
        }
    }
}
