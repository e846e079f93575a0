package ample.ledger.core.schedule;

import java.util.Comparator;
import java.util.List;

/** The short lists of a schedule that its courses and sections refer to, in the order posted; subjects by code. */
public record Lists(
        List<Campus> campuses,
        List<Department> departments,
        List<Subject> subjects,
        List<Programme> programmes,
        List<Requirement> requirements,
        List<BindingRule> bindingRules,
        List<Opening> openings,
        List<LoadRule> loads,
        List<Journey> journeys,
        List<OwnKind> kinds,
        List<WishRound> wishRounds) {

    public Lists {
        campuses = List.copyOf(campuses);
        departments = List.copyOf(departments);
        subjects = subjects.stream().sorted(Comparator.comparing(Subject::code)).toList();
        programmes = List.copyOf(programmes);
        requirements = List.copyOf(requirements);
        bindingRules = List.copyOf(bindingRules);
        openings = List.copyOf(openings);
        loads = List.copyOf(loads);
        journeys = List.copyOf(journeys);
        kinds = List.copyOf(kinds);
        wishRounds = List.copyOf(wishRounds);
    }
}
