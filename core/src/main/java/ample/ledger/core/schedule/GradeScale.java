package ample.ledger.core.schedule;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The grades of an institution.
 *
 * @param steps the best first; those of one position by what is written
 */
public record GradeScale(List<Step> steps) {

    /**
     * Letters from A, the best, to F, which is no pass, with a plus or a minus; and P for a pass without a grade, which is as good as the least
     * letter that passes. Common practice, no source.
     */
    public static final GradeScale LETTERS = letters();

    /**
     * One grade.
     *
     * @param text as the institution writes it: "B+", "16/20", "4.5"
     * @param position 1 is the best; grades of one position are as good as each other
     * @param passes whether a course with it is passed
     */
    public record Step(String text, int position, boolean passes) {}

    public GradeScale {
        steps = steps.stream()
                .sorted(Comparator.comparingInt(Step::position).thenComparing(Step::text))
                .toList();
    }

    /** The grade that {@code text} writes, in any case; what stands behind a slash may be left out, as in 16 for 16/20. */
    public Optional<Grade> parse(String text) {
        String wanted = folded(text);
        return steps.stream()
                .filter(step -> folded(step.text()).equals(wanted)
                        || folded(step.text()).replaceFirst("/.*", "").equals(wanted))
                .findFirst()
                .map(step -> new Grade(step, this));
    }

    private static String folded(String text) {
        return text.strip()
                .toUpperCase(Locale.ROOT)
                .replace('−', '-')
                .replace(',', '.')
                .replace(" ", "");
    }

    /** The best, the least that passes and the worst, as examples for people: "A+, D-, F". */
    public String examples() {
        return Stream.of(steps.stream().limit(1), worst(steps.stream().filter(Step::passes)), worst(steps.stream()))
                .flatMap(some -> some)
                .map(Step::text)
                .distinct()
                .collect(Collectors.joining(", "));
    }

    private static Stream<Step> worst(Stream<Step> some) {
        return some
                .max(Comparator.comparingInt(Step::position).thenComparing(Step::text, Comparator.reverseOrder()))
                .stream();
    }

    private static GradeScale letters() {
        List<String> order = List.of("A+", "A", "A-", "B+", "B", "B-", "C+", "C", "C-", "D+", "D", "D-", "F");
        Stream<Step> letters = order.stream().map(text -> new Step(text, order.indexOf(text) + 1, !text.equals("F")));
        Stream<Step> pass = Stream.of(new Step("P", order.indexOf("D-") + 1, true));
        return new GradeScale(Stream.concat(letters, pass).toList());
    }
}
