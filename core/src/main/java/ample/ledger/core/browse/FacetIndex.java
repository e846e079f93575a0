package ample.ledger.core.browse;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import java.util.stream.IntStream;

/**
 * One facet of one edition: for each value the candidates that have it, and for each section its values.
 *
 * <p>A value of few candidates, such as a person, is kept as a list of them; any other as a bitmap.
 */
final class FacetIndex {

    /** How many words of a bitmap are gone through in the time of looking at one section; measured, and not delicate. */
    private static final int WORDS_IN_THE_TIME_OF_A_SECTION = 16;

    private final Candidates layout;
    private final List<String> codes;
    private final Map<String, Integer> places;
    private final CandidateSet[] dense;
    private final int[][] sparse;
    private final boolean anySparse;
    private final int[] valueStart;
    private final int[] values;
    private final CandidateSet pure;
    private final boolean ofSets;

    /**
     * @param codes every value, in the order to count them
     * @param codesOf the values of a section
     * @param ofSets whether a candidate has the values of all the sections of its set
     */
    FacetIndex(Candidates layout, Collection<String> codes, IntFunction<List<String>> codesOf, boolean ofSets) {
        this.layout = layout;
        this.ofSets = ofSets;
        this.places = new HashMap<>();
        List<String> known = new ArrayList<>();
        codes.forEach(code -> place(code, known));
        List<int[]> bySection = new ArrayList<>();
        for (int section = 0; section < layout.sections(); section++) {
            bySection.add(codesOf.apply(section).stream()
                    .mapToInt(code -> place(code, known))
                    .toArray());
        }
        this.codes = List.copyOf(known);
        this.valueStart = new int[layout.sections() + 1];
        for (int section = 0; section < layout.sections(); section++) {
            valueStart[section + 1] = valueStart[section] + bySection.get(section).length;
        }
        this.values = bySection.stream().flatMapToInt(Arrays::stream).toArray();
        BitSet[] having = new BitSet[known.size()];
        Arrays.setAll(having, place -> new BitSet());
        layout.all()
                .forEach(position -> sectionsAt(position)
                        .forEach(section ->
                                Arrays.stream(bySection.get(section)).forEach(place -> having[place].set(position))));
        this.dense = new CandidateSet[known.size()];
        this.sparse = new int[known.size()][];
        boolean someSparse = false;
        for (int place = 0; place < having.length; place++) {
            if (!ofSets && having[place].cardinality() < layout.words()) {
                sparse[place] = having[place].stream().toArray();
                someSparse = true;
            } else {
                dense[place] = new CandidateSet(layout, Arrays.copyOf(having[place].toLongArray(), layout.words()));
            }
        }
        this.anySparse = someSparse;
        this.pure = ofSets ? layout.where(position -> isPure(having, position)) : layout.all();
    }

    private IntStream sectionsAt(int position) {
        return ofSets ? Arrays.stream(layout.setAt(position)) : IntStream.of(layout.sectionAt(position));
    }

    private static boolean isPure(BitSet[] having, int position) {
        return Arrays.stream(having).filter(set -> set.get(position)).count() == 1;
    }

    private int place(String code, List<String> known) {
        return places.computeIfAbsent(code, added -> {
            known.add(added);
            return known.size() - 1;
        });
    }

    private FacetIndex(FacetIndex before, CandidateSet[] dense, int[] values, CandidateSet pure) {
        this.layout = before.layout;
        this.codes = before.codes;
        this.places = before.places;
        this.sparse = before.sparse;
        this.anySparse = before.anySparse;
        this.valueStart = before.valueStart;
        this.ofSets = before.ofSets;
        this.dense = dense;
        this.values = values;
        this.pure = pure;
    }

    /**
     * This index after some sections changed their value. Only for a facet of sets, of which a section has one value.
     *
     * @param changed the sections whose value changed, by position in the schedule
     * @param codeOf the value of a section as it is now, one of those known
     */
    FacetIndex with(int[] changed, IntFunction<String> codeOf) {
        int[] now = values.clone();
        for (int section : changed) {
            now[section] = places.get(codeOf.apply(section));
        }
        long[][] having = new long[dense.length][];
        Arrays.setAll(having, place -> dense[place].bits().clone());
        long[] alike = pure.bits().clone();
        for (int section : changed) {
            layout.together(section).forEach(position -> {
                long bit = 1L << position;
                for (long[] each : having) {
                    each[position >> 6] &= ~bit;
                }
                int[] places = Arrays.stream(layout.setAt(position))
                        .map(member -> now[member])
                        .distinct()
                        .toArray();
                for (int place : places) {
                    having[place][position >> 6] |= bit;
                }
                alike[position >> 6] = places.length == 1 ? alike[position >> 6] | bit : alike[position >> 6] & ~bit;
            });
        }
        CandidateSet[] sets = new CandidateSet[having.length];
        Arrays.setAll(sets, place -> new CandidateSet(layout, having[place]));
        return new FacetIndex(this, sets, now, new CandidateSet(layout, alike));
    }

    /** The candidates with at least one of these values; of sets, those that hold a section with one. */
    CandidateSet any(Collection<String> wanted) {
        long[] bits = new long[layout.words()];
        for (String code : wanted) {
            Integer place = places.get(code);
            if (place != null && dense[place] == null) {
                for (int position : sparse[place]) {
                    bits[position >> 6] |= 1L << position;
                }
            } else if (place != null) {
                long[] having = dense[place].bits();
                for (int word = 0; word < bits.length; word++) {
                    bits[word] |= having[word];
                }
            }
        }
        return new CandidateSet(layout, bits);
    }

    /** The candidates with every one of these values. */
    CandidateSet all(Collection<String> wanted) {
        return wanted.stream().map(List::of).map(this::any).reduce(layout.all(), CandidateSet::and);
    }

    /** The sets all of whose sections have one of these values. */
    CandidateSet only(Collection<String> wanted) {
        return any(codes.stream().filter(code -> !wanted.contains(code)).toList())
                .complement();
    }

    /**
     * For each value, in the order of {@link #codes()}, how many sections of {@code base} have it; of sets, how many have a
     * set in {@code base} all of whose sections have it. Goes through the sections of {@code base} where they are few, and
     * through the bitmaps of the values where they are many.
     */
    int[] counts(CandidateSet base, SectionSet sections) {
        int[] counts = new int[codes.size()];
        if (ofSets) {
            CandidateSet alike = base.and(pure);
            for (int place = 0; place < counts.length; place++) {
                counts[place] = alike.sizeOfAnd(dense[place]);
            }
        } else if (anySparse
                || sections.size() < (long) counts.length * layout.words() / WORDS_IN_THE_TIME_OF_A_SECTION) {
            for (int section : sections.toArray()) {
                for (int i = valueStart[section]; i < valueStart[section + 1]; i++) {
                    counts[values[i]]++;
                }
            }
        } else {
            for (int place = 0; place < counts.length; place++) {
                counts[place] = sections.sizeOfAnd(dense[place]);
            }
        }
        return counts;
    }

    List<String> codes() {
        return codes;
    }

    /** The count of {@code code} among {@link #counts}; 0 for a value that there is not. */
    int countOf(int[] counts, String code) {
        Integer place = places.get(code);
        return place == null ? 0 : counts[place];
    }

    /** The counts by value, in order. */
    Map<String, Integer> named(int[] counts) {
        Map<String, Integer> named = new LinkedHashMap<>();
        for (int place = 0; place < counts.length; place++) {
            named.put(codes.get(place), counts[place]);
        }
        return named;
    }
}
