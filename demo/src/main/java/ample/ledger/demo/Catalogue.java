package ample.ledger.demo;

import ample.ledger.demo.Vocabulary.SubjectWords;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/** Makes the courses of an institution, with what they ask and what they count toward. */
final class Catalogue {

    /** A course that sections can be made of. */
    record Draft(SubjectWords subject, String number, int level, String title, Weight weight) {

        /** How long it runs. */
        enum Weight {
            TERM(""),
            MODULE("m"),
            DOUBLE("d");

            private final String letter;

            Weight(String letter) {
                this.letter = letter;
            }
        }
    }

    private final Rows rows;
    private final Dice dice;
    private final boolean weights;
    private final String otherTerm;
    private final String term;
    private final Map<String, List<String>> phrases = Vocabulary.phrases();
    private final Map<String, List<String>> byLevel = new HashMap<>();
    private final Set<String> taken = new HashSet<>();
    private final List<Draft> drafts = new ArrayList<>();

    /**
     * @param weights whether the institution marks modules and double courses
     * @param term code of the term
     * @param otherTerm code of the term that double courses go on into
     */
    Catalogue(Rows rows, Dice dice, boolean weights, String term, String otherTerm) {
        this.rows = rows;
        this.dice = dice;
        this.weights = weights;
        this.term = term;
        this.otherTerm = otherTerm;
        rows.of("courses").forEach(row -> known(row.text("subject"), row.text("number"), row.integer("level")));
    }

    /** Every title of every subject, so many times over. */
    List<Draft> make(List<SubjectWords> subjects, int copies) {
        for (SubjectWords subject : subjects) {
            for (int copy = 1; copy <= copies; copy++) {
                String suffix = copy == 1 ? "" : ", Part " + copy;
                subject.titles()
                        .forEach((level, titles) ->
                                titles.forEach(title -> add(subject, level, title + suffix, Draft.Weight.TERM)));
                if (weights) {
                    add(subject, 1, "A First Taste of " + subject.name() + suffix, Draft.Weight.MODULE);
                    add(subject, 2, subject.name() + " in Practice" + suffix, Draft.Weight.MODULE);
                    add(subject, 3, "Reading Seminar in " + subject.name() + suffix, Draft.Weight.TERM);
                    add(subject, 3, subject.name() + " through the Year" + suffix, Draft.Weight.DOUBLE);
                    add(subject, 4, "Final Project in " + subject.name() + suffix, Draft.Weight.DOUBLE);
                }
            }
        }
        return drafts;
    }

    private void add(SubjectWords subject, int level, String title, Draft.Weight weight) {
        String number = number(subject, level, weight);
        Draft draft = new Draft(subject, number, level, title, weight);
        int credits = weight == Draft.Weight.DOUBLE ? 8 : weight == Draft.Weight.MODULE ? 2 : dice.between(3, 4);
        rows.add("courses", subject.code(), number, title, description(subject), BigDecimal.valueOf(credits), level);
        if (weight == Draft.Weight.DOUBLE) {
            rows.add("credit_shares", subject.code(), number, term, BigDecimal.valueOf(4));
            rows.add("credit_shares", subject.code(), number, otherTerm, BigDecimal.valueOf(4));
        }
        for (String requirement : subject.toward()) {
            if (dice.chance(0.5)) {
                rows.add("course_requirements", subject.code(), number, requirement);
            }
        }
        prerequisite(draft);
        if (dice.chance(0.06)) {
            rows.add("notes", rows.next("notes"), subject.code(), number, null, dice.of(phrases("course-notes")));
        }
        drafts.add(draft);
        known(subject.code(), number, level);
    }

    private void known(String subject, String number, int level) {
        taken.add(subject + " " + number);
        byLevel.computeIfAbsent(subject + level, absent -> new ArrayList<>()).add(subject + " " + number);
    }

    private String number(SubjectWords subject, int level, Draft.Weight weight) {
        String number;
        do {
            int strand =
                    weight == Draft.Weight.DOUBLE ? 90 : weight == Draft.Weight.MODULE ? 80 : 10 * dice.between(0, 8);
            number = level * 100 + strand + dice.between(0, 9) + (weights ? weight.letter : "");
            if (taken.contains(subject.code() + " " + number)) {
                number = level * 100 + dice.between(0, 99) + (weights ? weight.letter : "");
            }
        } while (taken.contains(subject.code() + " " + number));
        return number;
    }

    private List<String> phrases(String kind) {
        return Objects.requireNonNull(phrases.get(kind));
    }

    private String description(SubjectWords subject) {
        List<String> things = new ArrayList<>();
        while (things.size() < 3) {
            String thing = dice.of(subject.things());
            if (!things.contains(thing)) {
                things.add(thing);
            }
        }
        String opening = dice.of(phrases("openings"))
                .replace(
                        "{A}",
                        Character.toUpperCase(things.get(0).charAt(0))
                                + things.get(0).substring(1))
                .replace("{a}", things.get(0))
                .replace("{b}", things.get(1))
                .replace("{c}", things.get(2));
        String closing = dice.chance(0.6) ? " " + dice.of(phrases("closings")) : "";
        return opening + " " + dice.of(subject.doings()) + closing;
    }

    private void prerequisite(Draft draft) {
        List<String> below = byLevel.getOrDefault(draft.subject().code() + (draft.level() - 1), List.of());
        if (below.isEmpty() || !dice.chance(0.7)) {
            return;
        }
        String one = dice.of(below);
        String other = dice.of(below);
        boolean grade = dice.chance(0.2);
        boolean choice = !one.equals(other) && dice.chance(0.3);
        String expression = one + (grade ? " with C" : "") + (choice ? " or " + other : "");
        String sentence = one + (grade ? " with C or better" : "") + (choice ? ", or " + other : "") + ".";
        if (draft.level() >= 4 && dice.chance(0.5)) {
            expression = (choice ? "(" + expression + ")" : expression) + " and standing " + draft.level();
            sentence = sentence.replaceFirst("\\.$", "; year " + draft.level() + ".");
        }
        rows.add("prerequisites", draft.subject().code(), draft.number(), sentence, expression);
    }
}
