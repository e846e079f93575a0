package ample.ledger.web.visit;

import ample.ledger.core.plan.Apart;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.Clash;
import ample.ledger.core.plan.Engagement;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.plan.Together;
import ample.ledger.web.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What of a week stands in the way of one more section, by the rule that My week judges by. Sections of its own course do not: one is taken
 * in place of another.
 *
 * @param week the sections attended and the busy times
 */
public record InTheWay(List<? extends Engagement> week, PostedSchedules posted) {

    /** Names in a phrase; of more their number is said. */
    private static final int MOST = 2;

    /** "clashes with GLAC 111 F1 of your week"; empty where nothing does. */
    public String words(Attendance one) {
        Map<String, List<String>> why = new LinkedHashMap<>();
        for (Engagement mine : week) {
            apart(one, mine)
                    .ifPresent(apart -> why.computeIfAbsent(apart.phrase(), absent -> new ArrayList<>())
                            .add(mine.toString()));
        }
        return why.entrySet().stream()
                .map(phrase -> phrase.getKey() + " " + named(phrase.getValue()) + " of your week")
                .collect(Collectors.joining("; "));
    }

    private static String named(List<String> names) {
        return names.size() > MOST
                ? names.get(0) + " and " + (names.size() - 1) + " more"
                : String.join(" and ", names);
    }

    private Optional<Apart> apart(Attendance one, Engagement mine) {
        if (mine instanceof Attendance other) {
            return one.sameCourse(other) ? Optional.empty() : Together.apart(one, other, posted);
        }
        return one.clashes(mine) ? Optional.of(Apart.SAME_TIME) : Optional.empty();
    }

    /** The same in sentences, with the minutes and the dates of clashes. */
    public Stream<String> sentences(Attendance one) {
        return week.stream().flatMap(mine -> sentences(one, mine, " of your week"));
    }

    /** The clashes themselves. */
    public Stream<Clash> clashes(Attendance one) {
        return week.stream().filter(mine -> !one.equals(mine)).flatMap(mine -> shared(one, mine).stream());
    }

    /** Without these sections. */
    public InTheWay without(List<Attendance> some) {
        return new InTheWay(week.stream().filter(mine -> !some.contains(mine)).toList(), posted);
    }

    /** What keeps some sections from each other, in sentences. */
    public static Stream<String> among(List<Attendance> sections, PostedSchedules posted) {
        List<String> sentences = new ArrayList<>();
        for (int i = 0; i < sections.size(); i++) {
            InTheWay later = new InTheWay(sections.subList(i + 1, sections.size()), posted);
            Attendance one = sections.get(i);
            later.week.forEach(other -> later.sentences(one, other, "").forEach(sentences::add));
        }
        return sentences.stream();
    }

    private Stream<String> sentences(Attendance one, Engagement mine, String whose) {
        return apart(one, mine).stream()
                .flatMap(apart -> apart == Apart.SAME_TIME
                        ? shared(one, mine).stream().map(clash -> Words.clash(clash, whose))
                        : Stream.of("%s %s %s%s.".formatted(one, apart.phrase(), mine, whose)));
    }

    private static List<Clash> shared(Attendance one, Engagement mine) {
        return mine instanceof Attendance other ? Together.clashes(one, other) : Clash.all(List.of(one, mine));
    }
}
