package ample.ledger.core.plan;

import ample.ledger.core.schedule.SeasonCode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * All plans of one student, and the last changes, to be taken back. Immutable: every change makes the next version.
 *
 * @param version counts the changes, those taken back included; 0 for a student who never kept anything
 * @param plans in the order they were begun
 * @param looked by season the id of the plan that is looked at and added to
 * @param past the latest last, at most {@link #MOST_PAST}
 */
public record PlanBook(long version, List<Plan> plans, Map<SeasonCode, String> looked, List<Change> past) {

    /** Nothing was ever kept. */
    public static final PlanBook EMPTY = new PlanBook(0, List.of(), Map.of(), List.of());

    /** Changes beyond these cannot be taken back. */
    public static final int MOST_PAST = 20;

    /** More plans than these of one season are not begun. */
    public static final int MOST_PLANS = 12;

    /** A student who has as many can still take over those of a guest, once. */
    public static final int MOST_ADOPTED = 2 * MOST_PLANS;

    /**
     * What was changed.
     *
     * @param words what was done: "TIDE 214 T1 added"
     * @param id of the plan
     * @param before the plan as it was; empty where it was begun
     * @param wasCurrent the id of the plan of that season that was looked at; empty for none
     */
    public record Change(
            String words, String id, SeasonCode season, Optional<Plan> before, Optional<String> wasCurrent) {}

    public PlanBook {
        plans = List.copyOf(plans);
        looked = Map.copyOf(looked);
        past = List.copyOf(past.subList(Math.max(0, past.size() - MOST_PAST), past.size()));
    }

    /** The plan of the season that is looked at: an empty one where none was begun. */
    public Plan current(SeasonCode season) {
        return ofSeason(season).stream()
                .filter(plan -> plan.id().equals(looked.get(season)))
                .findFirst()
                .or(() -> ofSeason(season).stream().findFirst())
                .orElseGet(() -> Plan.empty("1", season, "Plan A"));
    }

    /** The same with what {@code reading} makes of each plan; it is not a change. */
    public PlanBook read(UnaryOperator<Plan> reading) {
        return new PlanBook(version, plans.stream().map(reading).toList(), looked, past);
    }

    /** The plans that are looked at, one of each season. */
    public List<Plan> current() {
        return plans.stream().map(Plan::season).distinct().map(this::current).toList();
    }

    public List<Plan> ofSeason(SeasonCode season) {
        return plans.stream().filter(plan -> plan.season().equals(season)).toList();
    }

    /** With what {@code change} makes of the current plan of the season; unchanged where it changes nothing. */
    public PlanBook changing(SeasonCode season, String words, UnaryOperator<Plan> change) {
        Plan before = current(season);
        Plan after = change.apply(before);
        return after.equals(before) ? this : putting(words, after);
    }

    /** With one more plan of the season, which is looked at from now on; the same book when there are enough. */
    public PlanBook beginning(SeasonCode season, String name) {
        return begun(Plan.empty(nextId(season), season, name));
    }

    /** With a copy of the current plan, which is looked at from now on; the same book when there are enough. */
    public PlanBook copying(SeasonCode season, String name) {
        return begun(current(season).copy(nextId(season), name));
    }

    private PlanBook begun(Plan plan) {
        return ofSeason(plan.season()).size() < MOST_PLANS ? putting(plan) : this;
    }

    private PlanBook putting(Plan plan) {
        return putting("“" + plan.name() + "” begun", plan);
    }

    /** With this plan, instead of the one of its season and id or as a new one, looked at from now on. */
    public PlanBook putting(String words, Plan plan) {
        List<Plan> after = new ArrayList<>(plans);
        int at = indexOf(plan.season(), plan.id());
        if (at < 0) {
            after.add(plan);
        } else {
            after.set(at, plan);
        }
        return next(after, plan.season(), Optional.of(plan.id()), change(words, plan.season(), plan.id()));
    }

    /** Without one plan. */
    public PlanBook dropping(SeasonCode season, String id) {
        int at = indexOf(season, id);
        if (at < 0) {
            return this;
        }
        Change change = change("“" + plans.get(at).name() + "” deleted", season, id);
        List<Plan> after = new ArrayList<>(plans);
        after.remove(at);
        return next(
                after,
                season,
                after.stream()
                        .filter(plan -> plan.season().equals(season))
                        .map(Plan::id)
                        .findFirst(),
                change);
    }

    /** With another plan of the season looked at. */
    public PlanBook looking(SeasonCode season, String id) {
        if (indexOf(season, id) < 0) {
            return this;
        }
        Map<SeasonCode, String> after = new HashMap<>(looked);
        after.put(season, id);
        return new PlanBook(version + 1, plans, after, past);
    }

    /** As it was before the latest change; the same book when none is known. */
    public PlanBook undone() {
        if (past.isEmpty()) {
            return this;
        }
        Change last = past.get(past.size() - 1);
        List<Plan> after = new ArrayList<>(plans);
        int at = indexOf(last.season(), last.id());
        if (last.before().isEmpty()) {
            if (at >= 0) {
                after.remove(at);
            }
        } else if (at < 0) {
            after.add(last.before().get());
        } else {
            after.set(at, last.before().get());
        }
        PlanBook undone = next(after, last.season(), last.wasCurrent(), last);
        return new PlanBook(version + 1, undone.plans, undone.looked, past.subList(0, past.size() - 1));
    }

    /**
     * With the plans of a guest beside those it has, as long as a season has no more than {@link #MOST_ADOPTED}; what is in it
     * already, word for word, is not taken over twice.
     */
    public PlanBook adopting(PlanBook guest) {
        PlanBook book = this;
        for (Plan plan : guest.plans) {
            book = book.bringing(plan, MOST_ADOPTED);
        }
        return book;
    }

    /** With one plan from elsewhere, looked at from now on; the same book when it is there already, or when there are enough. */
    public PlanBook bringing(Plan plan) {
        return bringing(plan, MOST_PLANS);
    }

    private PlanBook bringing(Plan plan, int most) {
        return holds(plan) || ofSeason(plan.season()).size() >= most
                ? this
                : putting(plan.copy(nextId(plan.season()), freeName(plan)));
    }

    /** Whether it has that plan, word for word, under whatever name. */
    public boolean holds(Plan plan) {
        return ofSeason(plan.season()).stream()
                .anyMatch(own -> own.copy(plan.id(), plan.name()).equals(plan));
    }

    /** Without the oldest of the changes that can be taken back; the same book where there is none. */
    public PlanBook forgettingTheOldestChange() {
        return past.isEmpty() ? this : new PlanBook(version, plans, looked, past.subList(1, past.size()));
    }

    private String freeName(Plan plan) {
        List<String> taken = ofSeason(plan.season()).stream().map(Plan::name).toList();
        String name = plan.name();
        for (int number = 2; taken.contains(name); number++) {
            name = plan.name() + " " + number;
        }
        return name;
    }

    private PlanBook next(List<Plan> after, SeasonCode season, Optional<String> nowLooked, Change change) {
        Map<SeasonCode, String> lookedAfter = new HashMap<>(looked);
        nowLooked.ifPresentOrElse(id -> lookedAfter.put(season, id), () -> lookedAfter.remove(season));
        List<Change> pastAfter = new ArrayList<>(past);
        pastAfter.add(change);
        return new PlanBook(version + 1, after, lookedAfter, pastAfter);
    }

    private Change change(String words, SeasonCode season, String id) {
        int at = indexOf(season, id);
        return new Change(
                words,
                id,
                season,
                at < 0 ? Optional.empty() : Optional.of(plans.get(at)),
                Optional.ofNullable(looked.get(season)));
    }

    private String nextId(SeasonCode season) {
        return String.valueOf(ofSeason(season).stream()
                        .mapToInt(plan -> Integer.parseInt(plan.id()))
                        .max()
                        .orElse(0)
                + 1);
    }

    private int indexOf(SeasonCode season, String id) {
        for (int i = 0; i < plans.size(); i++) {
            if (plans.get(i).season().equals(season) && plans.get(i).id().equals(id)) {
                return i;
            }
        }
        return -1;
    }
}
