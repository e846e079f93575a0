package ample.ledger.core.code;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * An institution's published table of what its codes mean, and the taking apart of a code by it.
 *
 * <p>The table lists, for each sort of code (course, section), the segments in their order; each segment has one entry
 * for each value it can take: a pattern and a meaning. The meaning may hold {@code {value}} (the text itself),
 * {@code {ordinal}} (first, second, third for 1, 2, 3) and {@code {subject}} (the name of the subject with that code).
 * A value without a meaning is punctuation.
 *
 * <p>A code is taken apart so that as few characters as possible stay unexplained, and then as few required segments as
 * possible are missing: shortest path over (character, segment), after Wagner and Fischer's edit distance of 1974. Cost:
 * characters × segments × values.
 */
public final class CodeKey {

    /** How often a segment may occur in a code. */
    public enum Times {
        ONE,
        OPTIONAL,
        ANY
    }

    /**
     * One row of the published table.
     *
     * @param sort which codes it explains: "course", "section"
     * @param position where its segment stands among the segments of that sort, counting from 1
     * @param segment what the segment tells: "level"
     * @param value a regular expression for this value of it
     * @param meaning what the value says; empty for punctuation
     */
    public record Entry(
            String sort, int position, String segment, Times times, Pattern value, Optional<String> meaning) {}

    /**
     * One part of a code.
     *
     * @param text as it stands in the code
     * @param segment what it tells, as in "level"; empty when the key does not explain it
     * @param meaning what it says, as in "second year"; empty for punctuation and for what the key does not explain
     */
    public record Part(String text, Optional<String> segment, Optional<String> meaning) {

        /** Whether the key has this part at all. */
        public boolean explained() {
            return segment.isPresent();
        }

        /** Whether it only separates others. */
        public boolean punctuation() {
            return explained() && meaning.isEmpty();
        }
    }

    private static final List<String> ORDINALS =
            List.of("first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth", "ninth", "tenth");

    private record Segment(String name, Times times, List<Entry> values) {}

    private record Step(int unexplained, int missing, Optional<Part> part, int nextCharacter, int nextSegment)
            implements Comparable<Step> {
        @Override
        public int compareTo(Step other) {
            return unexplained != other.unexplained
                    ? Integer.compare(unexplained, other.unexplained)
                    : Integer.compare(missing, other.missing);
        }
    }

    private final Map<String, List<Segment>> segmentsBySort;
    private final Map<String, String> subjectNames;

    /**
     * @param entries in the order published; within a segment the first value that matches counts
     * @param subjectNames name by code, for {@code {subject}}
     */
    public CodeKey(List<Entry> entries, Map<String, String> subjectNames) {
        this.subjectNames = Map.copyOf(subjectNames);
        this.segmentsBySort = entries.stream()
                .collect(Collectors.groupingBy(
                        Entry::sort, Collectors.collectingAndThen(Collectors.toList(), CodeKey::segments)));
    }

    /**
     * The parts of {@code code} in order; put together they are the code again. A sort of code that the key does not
     * list gives one part that is not explained.
     */
    public List<Part> takeApart(String sort, String code) {
        List<Segment> segments = segmentsBySort.getOrDefault(sort, List.of());
        Step[][] best = new Step[code.length() + 1][segments.size() + 1];
        for (int at = code.length(); at >= 0; at--) {
            for (int next = segments.size(); next >= 0; next--) {
                best[at][next] = bestStep(code, segments, best, at, next);
            }
        }
        List<Part> parts = new ArrayList<>();
        for (Step step = best[0][0]; step.nextCharacter() >= 0; step = best[step.nextCharacter()][step.nextSegment()]) {
            step.part().ifPresent(part -> append(parts, part));
        }
        return Collections.unmodifiableList(parts);
    }

    private Step bestStep(String code, List<Segment> segments, Step[][] best, int at, int next) {
        if (at == code.length() && next == segments.size()) {
            return new Step(0, 0, Optional.empty(), -1, -1);
        }
        List<Step> choices = new ArrayList<>();
        if (next < segments.size()) {
            Segment segment = segments.get(next);
            for (Entry entry : segment.values()) {
                Matcher matcher = entry.value().matcher(code).region(at, code.length());
                if (matcher.lookingAt() && matcher.end() > at) {
                    String text = matcher.group();
                    Part part = new Part(
                            text, Optional.of(segment.name()), entry.meaning().map(meaning -> fill(meaning, text)));
                    int stay = segment.times() == Times.ANY ? next : next + 1;
                    choices.add(follow(best, Optional.of(part), matcher.end(), stay, 0, 0));
                }
            }
            choices.add(follow(best, Optional.empty(), at, next + 1, 0, segment.times() == Times.ONE ? 1 : 0));
        }
        if (at < code.length()) {
            Part unknown = new Part(code.substring(at, at + 1), Optional.empty(), Optional.empty());
            choices.add(follow(best, Optional.of(unknown), at + 1, next, 1, 0));
        }
        return Collections.min(choices);
    }

    private static Step follow(
            Step[][] best, Optional<Part> part, int character, int segment, int unexplained, int missing) {
        Step rest = best[character][segment];
        return new Step(rest.unexplained() + unexplained, rest.missing() + missing, part, character, segment);
    }

    /** Neighbouring characters that the key does not explain make one part. */
    private static void append(List<Part> parts, Part part) {
        int last = parts.size() - 1;
        if (!part.explained() && last >= 0 && !parts.get(last).explained()) {
            parts.set(last, new Part(parts.get(last).text() + part.text(), Optional.empty(), Optional.empty()));
        } else {
            parts.add(part);
        }
    }

    private String fill(String meaning, String text) {
        return meaning.replace("{value}", text)
                .replace("{ordinal}", ordinal(text))
                .replace("{subject}", subjectNames.getOrDefault(text, text));
    }

    private static String ordinal(String text) {
        if (!text.matches("[0-9]{1,4}")) {
            return text;
        }
        int number = Integer.parseInt(text);
        return number >= 1 && number <= ORDINALS.size() ? ORDINALS.get(number - 1) : "number " + number;
    }

    private static List<Segment> segments(List<Entry> entries) {
        Map<Integer, List<Entry>> byPosition =
                entries.stream().collect(Collectors.groupingBy(Entry::position, TreeMap::new, Collectors.toList()));
        return byPosition.values().stream()
                .map(values ->
                        new Segment(values.get(0).segment(), values.get(0).times(), List.copyOf(values)))
                .toList();
    }

    /** The constant that {@code text} names, in any case. */
    public static Optional<Times> times(String text) {
        try {
            return Optional.of(Times.valueOf(text.toUpperCase(Locale.ROOT)));
        } catch (IllegalArgumentException unknown) {
            return Optional.empty();
        }
    }
}
