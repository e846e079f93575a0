package ample.ledger.core.registrar.rules;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.Clash;
import ample.ledger.core.plan.Load;
import ample.ledger.core.plan.Obstacle;
import ample.ledger.core.plan.Together;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Refusal.Reason;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.schedule.Corequisite;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Equivalent;
import ample.ledger.core.schedule.Term;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What goes together in what a student would have: companions, what must be taken with what, clashes, one of each course, credit once, and the
 * limit of credits. Only what a request changes is looked at: what stood before keeps nothing out.
 *
 * @param before what the student has
 * @param after what they would have
 * @param in what comes to it
 */
record WhatGoes(Registrant who, List<Attendance> before, List<Attendance> after, List<Attendance> in) {

    List<Refusal> refusals() {
        List<Refusal> refusals = new ArrayList<>();
        companions(refusals);
        corequisites(refusals);
        pairs(refusals);
        onRecord(refusals);
        limits(refusals);
        return refusals;
    }

    /** The sections, of what would be there, whose course the request touches. */
    private List<Attendance> touched() {
        List<Attendance> gone =
                before.stream().filter(one -> !after.contains(one)).toList();
        return after.stream()
                .filter(one -> Stream.concat(in.stream(), gone.stream()).anyMatch(one::sameCourse))
                .toList();
    }

    /** Adds what is lacking of complete sets. */
    void companions(List<Refusal> refusals) {
        for (Attendance one : touched()) {
            if (one.leads()) {
                lacking(one)
                        .forEach(choice -> refusals.add(Refusal.of(
                                        Reason.COMPANION_MISSING,
                                        Entry.of(one),
                                        "%s must be taken with a %s of its own.".formatted(one, choice))
                                .what(choice)));
                continue;
            }
            List<Attendance> leads = after.stream()
                    .filter(one::sameCourse)
                    .filter(Attendance::leads)
                    .toList();
            boolean goes = leads.stream().anyMatch(lead -> goesWith(one, lead));
            if (!goes && leads.isEmpty()) {
                refusals.add(Refusal.of(
                        Reason.COMPANION_MISSING,
                        Entry.of(one),
                        "%s can be taken only with a section of %s."
                                .formatted(one, one.section().course().written())));
            } else if (!goes) {
                refusals.add(Refusal.of(
                                Reason.COMPANION_OF_ANOTHER,
                                Entry.of(one),
                                "%s cannot be taken with %s.".formatted(one, leads.get(0)))
                        .with(Entry.of(leads)));
            }
        }
    }

    private static boolean goesWith(Attendance companion, Attendance lead) {
        return lead.schedule().leadsOf(companion.section()).contains(lead.section());
    }

    /** What a leading section asks for a companion of, and would not have. */
    private List<String> lacking(Attendance lead) {
        return lead.schedule().companionsOf(lead.section()).stream()
                .map(companion -> companion.companion().orElseThrow().choice())
                .distinct()
                .filter(choice -> after.stream()
                        .filter(lead::sameCourse)
                        .noneMatch(one -> one.section()
                                        .companion()
                                        .filter(companion -> companion.choice().equals(choice))
                                        .isPresent()
                                && goesWith(one, lead)))
                .toList();
    }

    /** Of what comes, and of what stays without what it needs. */
    private void corequisites(List<Refusal> refusals) {
        Set<CourseCode> onRecord = who.onRecord();
        for (Attendance one : after) {
            if (!one.leads()) {
                continue;
            }
            for (Corequisite corequisite : one.section().course().rules().corequisites()) {
                boolean had = !in.contains(one) && !has(before, corequisite.course());
                if (!had && !has(after, corequisite.course()) && !onRecord.contains(corequisite.course())) {
                    refusals.add(Refusal.of(
                                    Reason.COREQUISITE,
                                    Entry.of(one),
                                    "%s is taken together with %s: %s"
                                            .formatted(one, corequisite.course(), corequisite.sentence()))
                            .what(corequisite.course().toString()));
                }
            }
        }
    }

    private static boolean has(Collection<Attendance> some, CourseCode course) {
        return some.stream().anyMatch(one -> one.section().course().code().equals(course));
    }

    private void pairs(List<Refusal> refusals) {
        for (int i = 0; i < after.size(); i++) {
            for (int j = i + 1; j < after.size(); j++) {
                if (in.contains(after.get(j))) {
                    pair(after.get(j), after.get(i), refusals);
                } else if (in.contains(after.get(i))) {
                    pair(after.get(i), after.get(j), refusals);
                }
            }
        }
    }

    private static void pair(Attendance one, Attendance other, List<Refusal> refusals) {
        Entry about = Entry.of(one);
        List<Entry> with = List.of(Entry.of(other));
        for (Clash clash : Together.clashes(one, other)) {
            refusals.add(Refusal.of(
                            Reason.CLASH,
                            about,
                            "%s and %s are held at the same time: %d minutes%s, first on %s."
                                    .formatted(
                                            one,
                                            other,
                                            clash.minutes(),
                                            clash.exam() ? " of an exam" : "",
                                            clash.first()))
                    .with(with)
                    .minutes(clash.minutes())
                    .when(clash.first().atStartOfDay()));
        }
        Optional<Obstacle> out = Together.ruledOut(one, other);
        if (out.isEmpty()) {
            return;
        }
        if (out.get() instanceof Obstacle.SharedListing) {
            refusals.add(Refusal.of(Reason.TWIN, about, "%s and %s are the same class.".formatted(one, other))
                    .with(with));
        } else if (out.get() instanceof Obstacle.SameCourse) {
            refusals.add(Refusal.of(
                            Reason.SAME_COURSE,
                            about,
                            "%s replaces %s. You can take only one of them.".formatted(one, other))
                    .with(with));
        } else {
            refusals.add(
                    Refusal.of(Reason.EXCLUDED, about, "Credit is given for one of %s and %s.".formatted(one, other))
                            .with(with));
        }
    }

    /** Credit is not given beside a course that is on the record. */
    private void onRecord(List<Refusal> refusals) {
        Set<CourseCode> onRecord = who.onRecord();
        for (Attendance one : in) {
            if (one.leads()) {
                CourseCode own = one.section().course().code();
                Stream<CourseCode> named = one.section().course().rules().equivalents().stream()
                        .map(Equivalent::course)
                        .filter(onRecord::contains);
                Stream<CourseCode> naming = onRecord.stream()
                        .flatMap(code -> one.schedule().course(code).stream())
                        .filter(course -> course.rules().equivalents().stream()
                                .anyMatch(equivalent -> equivalent.course().equals(own)))
                        .map(course -> course.code());
                Stream.concat(named, naming)
                        .filter(code -> !code.equals(own))
                        .min(CourseCode::compareTo)
                        .ifPresent(code -> refusals.add(Refusal.of(
                                        Reason.EXCLUDED,
                                        Entry.of(one),
                                        "No credit is given for %s beside %s, which is on your record."
                                                .formatted(own, code))
                                .what(code.toString())));
            }
        }
    }

    private void limits(List<Refusal> refusals) {
        for (Term term : Stream.concat(before.stream(), after.stream())
                .map(Attendance::term)
                .distinct()
                .toList()) {
            BigDecimal most = who.file()
                    .term(term.code().text())
                    .flatMap(StudentFile.OfTerm::mostCredits)
                    .orElse(null);
            BigDecimal credits = credits(after, term);
            if (most != null && credits.compareTo(most) > 0 && credits.compareTo(credits(before, term)) > 0) {
                refusals.add(Refusal.of(
                                Reason.OVER_LIMIT,
                                Entry.of(in.get(0)),
                                "With it you would have %s credits of %s in %s."
                                        .formatted(credits.toPlainString(), most.toPlainString(), term.name()))
                        .what(credits.toPlainString()));
            }
        }
    }

    /** In the institution's own unit. */
    static BigDecimal credits(Collection<Attendance> some, Term term) {
        return some.stream()
                .filter(Attendance::leads)
                .flatMap(one -> Load.creditsIn(term.code(), one).stream())
                .reduce(BigDecimal.ZERO, BigDecimal::add);
    }
}
