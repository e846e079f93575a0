package ample.ledger.core.registrar.rules;

import ample.ledger.core.fixtures.PlainTogether;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.Request.Act;
import ample.ledger.core.schedule.Companion;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Restriction;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * A registrar of one term, read rule by rule and as plainly as can be. Of prerequisites, corequisites and openings it
 * knows nothing.
 */
final class PlainRegistrar {

    private final Schedule schedule;
    private final PlainTogether together;
    private final PlainSeats seats;
    private final int mostCredits;

    PlainRegistrar(Schedule schedule, Map<String, String> programmes, int mostCredits, long hours) {
        this.schedule = schedule;
        this.together = new PlainTogether(schedule);
        this.seats = new PlainSeats(schedule, programmes, hours);
        this.mostCredits = mostCredits;
    }

    PlainSeats seats() {
        return seats;
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
                .filter(section -> seats.seat(student, section).isPresent())
                .toList();
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
                && coming.stream()
                        .noneMatch(section -> seats.offer(student, section).isPresent())) {
            why.add("offer-lapsed");
        }
        Map<Section, PlainSeats.Seat> taken = new LinkedHashMap<>();
        for (Section section : coming) {
            Optional<String> sort = seats.sortOfSeat(student, section, out, now);
            if (sort.isPresent()) {
                taken.put(
                        section, new PlainSeats.Seat(student, section.entry().digits(), sort.get(), Optional.empty()));
            } else {
                why.add(seats.full(section));
            }
        }
        if (why.isEmpty()) {
            List<Section> gone =
                    out.stream().filter(section -> !set.contains(section)).toList();
            gone.forEach(section -> seats.giveUp(student, section));
            taken.forEach((section, seat) -> seats.take(student, section, seat));
            gone.forEach(section -> seats.offer(section.pool().code(), now));
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
                .anyMatch((Restriction.Rule rule) -> rule.include() != seats.belongs(student, rule.group()));
        return out ? Set.of("restricted") : Set.of();
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

    private Set<String> queue(String student, List<Section> set, Instant now) {
        Set<String> why = new TreeSet<>();
        List<Section> wanted = set.stream()
                .filter(section -> seats.seat(student, section).isEmpty())
                .toList();
        if (wanted.isEmpty()) {
            why.add("already-registered");
        }
        wanted.forEach(section -> why.addAll(barred(student, section)));
        why.addAll(incomplete(List.of(), set, set));
        List<Section> full = new ArrayList<>();
        for (Section section : wanted) {
            if (seats.waits(student, section) || seats.offer(student, section).isPresent()) {
                why.add("already-waiting");
                full.add(section);
            } else if (seats.sortOfSeat(student, section, List.of(), now).isEmpty()) {
                full.add(section);
                if (section.pool().waitlistCapacity() == 0) {
                    why.add("full");
                } else if (seats.full(section).equals("full")) {
                    why.add("waitlist-full");
                }
            }
        }
        if (full.isEmpty() && !wanted.isEmpty()) {
            why.add("not-full");
        }
        if (why.isEmpty()) {
            full.forEach(section -> seats.await(student, section));
        }
        return why;
    }

    private Set<String> drop(String student, List<Section> set, Instant now) {
        Set<String> why = new TreeSet<>();
        List<Section> before = registered(student);
        List<Section> out = set.stream().filter(before::contains).toList();
        List<Section> rest = set.stream()
                .filter(section -> !before.contains(section))
                .filter(section -> seats.waits(student, section)
                        || seats.offer(student, section).isPresent())
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
            set.forEach(section -> seats.giveUp(student, section));
            set.forEach(section -> seats.offer(section.pool().code(), now));
        }
        return why;
    }
}
