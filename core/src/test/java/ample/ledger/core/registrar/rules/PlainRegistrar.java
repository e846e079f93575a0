package ample.ledger.core.registrar.rules;

import ample.ledger.core.fixtures.PlainTogether;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.Request.Act;
import ample.ledger.core.schedule.Companion;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Restriction;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.StudentGroup;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * A registrar of one term, read rule by rule and as plainly as can be: seats are people on lists. Of prerequisites, corequisites and openings it
 * knows nothing.
 */
final class PlainRegistrar {

    private final Schedule schedule;
    private final PlainTogether together;
    private final Map<String, String> programmes;
    private final int mostCredits;
    private final long hours;

    /** By pool: who sits on which sort of seat; of those who were there before any of this only that they are. */
    private final Map<String, List<Seat>> seats = new HashMap<>();

    private final Map<String, List<Waiting>> queues = new HashMap<>();

    /**
     * A seat that is not free.
     *
     * @param until empty once it is taken; before, until when it is promised
     */
    private record Seat(String student, String section, String heldFor, Optional<Instant> until) {}

    private record Waiting(String student, String section) {}

    PlainRegistrar(Schedule schedule, Map<String, String> programmes, int mostCredits, long hours) {
        this.schedule = schedule;
        this.together = new PlainTogether(schedule);
        this.programmes = programmes;
        this.mostCredits = mostCredits;
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

    /** The reasons why not, or none, and then it is done. */
    Set<String> ask(String student, Request request, Instant now) {
        List<Section> set = sections(request.set());
        List<Section> out = sections(request.instead());
        return switch (request.act()) {
            case DROP -> drop(student, set, now);
            case WAIT -> queue(student, set, now);
            case REGISTER, TAKE_UP, SWAP -> have(student, request.act(), set, out, now);
        };
    }

    private List<Section> sections(List<Entry> entries) {
        return entries.stream()
                .map(entry -> schedule.section(new EntryNumber(entry.number())).orElseThrow())
                .toList();
    }

    private List<Section> registered(String student) {
        return schedule.sections().stream()
                .filter(section -> seat(student, section).isPresent())
                .toList();
    }

    /** The seat that a student has in just this section. */
    private Optional<Seat> seat(String student, Section section) {
        return seats.get(section.pool().code()).stream()
                .filter(seat -> seat.student.equals(student)
                        && seat.section.equals(section.entry().digits())
                        && seat.until.isEmpty())
                .findFirst();
    }

    private Optional<Seat> offer(String student, Section section) {
        return seats.get(section.pool().code()).stream()
                .filter(seat -> seat.student.equals(student) && seat.until.isPresent())
                .findFirst();
    }

    private boolean waits(String student, Section section) {
        return queues.get(section.pool().code()).stream().anyMatch(waiting -> waiting.student.equals(student));
    }

    private Set<String> have(String student, Act act, List<Section> set, List<Section> out, Instant now) {
        Set<String> why = new TreeSet<>();
        List<Section> before = registered(student);
        List<Section> after = new ArrayList<>(before);
        after.removeAll(out);
        List<Section> coming = new ArrayList<>();
        for (Section section : set) {
            if (!before.contains(section)) {
                coming.add(section);
            } else if (act == Act.REGISTER) {
                why.add("already-registered");
                why.addAll(barred(student, section));
            }
            if (!after.contains(section)) {
                after.add(section);
            }
        }
        for (Section gone : out) {
            if (!before.contains(gone)) {
                why.add("not-registered");
            }
        }
        coming.forEach(section -> why.addAll(barred(student, section)));
        why.addAll(incomplete(before, after, coming));
        for (Section section : coming) {
            for (Section other : after) {
                if (!section.equals(other)) {
                    why.addAll(apart(section, other));
                }
            }
        }
        if (credits(after) > mostCredits && credits(after) > credits(before)) {
            why.add("over-limit");
        }
        if (act == Act.TAKE_UP
                && coming.stream().noneMatch(section -> offer(student, section).isPresent())) {
            why.add("offer-lapsed");
        }
        Map<Section, Seat> taken = new LinkedHashMap<>();
        for (Section section : coming) {
            Optional<String> sort = sortOfSeat(student, section, out, now);
            if (sort.isPresent()) {
                taken.put(section, new Seat(student, section.entry().digits(), sort.get(), Optional.empty()));
            } else {
                why.add(full(section));
            }
        }
        if (why.isEmpty()) {
            List<Section> gone =
                    out.stream().filter(section -> !set.contains(section)).toList();
            gone.forEach(section -> seats.get(section.pool().code())
                    .remove(seat(student, section).orElseThrow()));
            taken.forEach((section, seat) -> {
                String pool = section.pool().code();
                offer(student, section).ifPresent(seats.get(pool)::remove);
                queues.get(pool).removeIf(waiting -> waiting.student.equals(student));
                seats.get(pool).add(seat);
            });
            gone.forEach(section -> offer(section.pool().code(), now));
        }
        return why;
    }

    private static int credits(List<Section> sections) {
        return 3
                * (int) sections.stream()
                        .filter(section -> section.companion().isEmpty())
                        .count();
    }

    private Set<String> barred(String student, Section section) {
        if (section.cancelled()) {
            return Set.of("cancelled");
        }
        boolean out = section.restrictions().stream()
                .flatMap(restriction -> restriction.rule().stream())
                .anyMatch((Restriction.Rule rule) -> rule.include() != belongs(student, rule.group()));
        return out ? Set.of("restricted") : Set.of();
    }

    private boolean belongs(String student, StudentGroup group) {
        return group.anyOf().contains(programmes.getOrDefault(student, ""));
    }

    private Set<String> incomplete(List<Section> before, List<Section> after, List<Section> coming) {
        Set<String> why = new TreeSet<>();
        for (Section section : after) {
            boolean touched = coming.stream().anyMatch(one -> one.course().equals(section.course()))
                    || before.stream().anyMatch(one -> one.course().equals(section.course()) && !after.contains(one));
            if (!touched) {
                continue;
            }
            List<Section> same = after.stream()
                    .filter(other -> other.course().equals(section.course()))
                    .toList();
            if (section.companion().isPresent()) {
                List<Section> leads = same.stream()
                        .filter(other -> other.companion().isEmpty())
                        .toList();
                if (leads.isEmpty()) {
                    why.add("companion-missing");
                } else if (leads.stream().noneMatch(lead -> fits(section, lead))) {
                    why.add("companion-of-another");
                }
            } else {
                for (Section posted : schedule.sections()) {
                    if (posted.course().equals(section.course()) && fits(posted, section)) {
                        String choice = posted.companion().orElseThrow().choice();
                        if (same.stream()
                                .noneMatch(other ->
                                        fits(other, section) && choice(other).equals(choice))) {
                            why.add("companion-missing");
                        }
                    }
                }
            }
        }
        return why;
    }

    private static String choice(Section section) {
        return section.companion().map(Companion::choice).orElse("");
    }

    private static boolean fits(Section companion, Section lead) {
        return companion
                .companion()
                .filter(some -> some.boundTo().map(lead.entry()::equals).orElse(true))
                .isPresent();
    }

    private Set<String> apart(Section one, Section other) {
        Set<String> why = new TreeSet<>();
        if (together.clash(one, other)) {
            why.add("clash");
        }
        if (one.course().equals(other.course()) && choice(one).equals(choice(other))) {
            why.add("same-course");
        }
        return why;
    }

    /** The sort of a seat that the student can have; empty where there is none. */
    private Optional<String> sortOfSeat(String student, Section section, List<Section> out, Instant now) {
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

    private String full(Section section) {
        return queues.get(section.pool().code()).size() < section.pool().waitlistCapacity()
                ? "full-waitlist-open"
                : "full";
    }

    private Set<String> queue(String student, List<Section> set, Instant now) {
        Set<String> why = new TreeSet<>();
        List<Section> wanted =
                set.stream().filter(section -> seat(student, section).isEmpty()).toList();
        if (wanted.isEmpty()) {
            why.add("already-registered");
        }
        wanted.forEach(section -> why.addAll(barred(student, section)));
        why.addAll(incomplete(List.of(), set, set));
        List<Section> full = new ArrayList<>();
        for (Section section : wanted) {
            if (waits(student, section) || offer(student, section).isPresent()) {
                why.add("already-waiting");
                full.add(section);
            } else if (sortOfSeat(student, section, List.of(), now).isEmpty()) {
                full.add(section);
                if (section.pool().waitlistCapacity() == 0) {
                    why.add("full");
                } else if (full(section).equals("full")) {
                    why.add("waitlist-full");
                }
            }
        }
        if (full.isEmpty() && !wanted.isEmpty()) {
            why.add("not-full");
        }
        if (why.isEmpty()) {
            full.forEach(section -> queues.get(section.pool().code())
                    .add(new Waiting(student, section.entry().digits())));
        }
        return why;
    }

    private Set<String> drop(String student, List<Section> set, Instant now) {
        Set<String> why = new TreeSet<>();
        List<Section> before = registered(student);
        List<Section> out = set.stream().filter(before::contains).toList();
        List<Section> rest = set.stream()
                .filter(section -> !before.contains(section))
                .filter(section ->
                        waits(student, section) || offer(student, section).isPresent())
                .toList();
        if (out.isEmpty() && rest.isEmpty()) {
            return Set.of("not-registered");
        }
        List<Section> after =
                before.stream().filter(section -> !out.contains(section)).toList();
        if (!out.isEmpty()) {
            why.addAll(incomplete(before, after, List.of()));
        }
        if (why.isEmpty()) {
            for (Section section : set) {
                String pool = section.pool().code();
                if (out.contains(section)) {
                    seats.get(pool).remove(seat(student, section).orElseThrow());
                } else if (!queues.get(pool).removeIf(waiting -> waiting.student.equals(student))) {
                    offer(student, section).ifPresent(seats.get(pool)::remove);
                }
            }
            set.forEach(section -> offer(section.pool().code(), now));
        }
        return why;
    }

    /** The first who can have a free seat is offered it. */
    private void offer(String pool, Instant now) {
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
