package ample.ledger.core.browse.index;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;

/**
 * One facet of one edition: for each value the candidates that have it, and for each candidate its values.
 *
 * <p>A value of few candidates, such as a person, is kept as a list of them; any other as a bitmap.
 */
public final class FacetIndex {

    /** How many words of a bitmap are gone through in the time of looking at one section; measured, and not delicate. */
    private static final int WORDS_IN_THE_TIME_OF_A_SECTION = 4;

    private final Candidates layout;
    private final List<String> codes;
    private final Map<String, Integer> places;
    private final CandidateSet[] dense;
    private final int[][] sparse;
    private final boolean anySparse;
    private final boolean ofSets;

    /** Of sets the candidates all of whose sections have one value, the same; otherwise all. */
    private final CandidateSet pure;

    /**
     * By the position of a candidate the place of its value; for more values than one, or none, what {@code ~} makes the place
     * in {@link #lists} of the list of them. Of sets only the pure candidates have theirs.
     */
    private final NarrowColumn valueAt;

    private final int[][] lists;

    /**
     * @param codes every value, in the order to count them
     * @param codesOf the values of a section
     * @param ofSets whether a candidate has the values of all the sections of its set
     */
    FacetIndex(Candidates layout, Collection<String> codes, Function<SectionAt, List<String>> codesOf, boolean ofSets) {
        this(layout, codes, codesOf, ofSets, !ofSets);
    }

    /** Of values of which each section has exactly one, which may change. */
    static FacetIndex ofOneValue(Candidates layout, Collection<String> codes, Function<SectionAt, String> codeOf) {
        return new FacetIndex(layout, codes, section -> List.of(codeOf.apply(section)), false, false);
    }

    private FacetIndex(
            Candidates layout,
            Collection<String> codes,
            Function<SectionAt, List<String>> codesOf,
            boolean ofSets,
            boolean maybeSparse) {
        this.layout = layout;
        this.ofSets = ofSets;
        this.places = new HashMap<>();
        List<String> known = new ArrayList<>();
        codes.forEach(code -> place(code, known));
        List<int[]> bySection = new ArrayList<>();
        for (int section = 0; section < layout.sections(); section++) {
            bySection.add(codesOf.apply(new SectionAt(section)).stream()
                    .mapToInt(code -> place(code, known))
                    .toArray());
        }
        this.codes = List.copyOf(known);
        BitSet[] having = new BitSet[known.size()];
        Arrays.setAll(having, place -> new BitSet());
        layout.all()
                .forEach(candidate -> sectionsOf(candidate)
                        .forEach(section -> Arrays.stream(bySection.get(section.place()))
                                .forEach(place -> having[place].set(candidate.position()))));
        this.dense = new CandidateSet[known.size()];
        this.sparse = new int[known.size()][];
        boolean someSparse = false;
        for (int place = 0; place < having.length; place++) {
            if (maybeSparse && having[place].cardinality() < layout.words()) {
                sparse[place] = having[place].stream().toArray();
                someSparse = true;
            } else {
                dense[place] = new CandidateSet(layout, Arrays.copyOf(having[place].toLongArray(), layout.words()));
            }
        }
        this.anySparse = someSparse;
        this.pure = ofSets ? layout.where(candidate -> isPure(having, candidate)) : layout.all();
        this.valueAt = new NarrowColumn(layout.words() * Long.SIZE);
        List<int[]> listed = new ArrayList<>(List.of(new int[0]));
        Map<List<Integer>, Integer> numberOf = new HashMap<>(Map.of(List.of(), 0));
        layout.all().forEach(candidate -> {
            int[] places = pure.contains(candidate)
                    ? bySection.get(layout.sectionOf(candidate).place())
                    : new int[0];
            if (places.length == 1) {
                valueAt.put(candidate.position(), places[0]);
            } else {
                int number =
                        numberOf.computeIfAbsent(Arrays.stream(places).boxed().toList(), absent -> {
                            listed.add(places);
                            return listed.size() - 1;
                        });
                valueAt.put(candidate.position(), ~number);
            }
        });
        this.lists = listed.toArray(int[][]::new);
    }

    private List<SectionAt> sectionsOf(CandidateAt candidate) {
        return ofSets ? layout.setOf(candidate) : List.of(layout.sectionOf(candidate));
    }

    private static boolean isPure(BitSet[] having, CandidateAt candidate) {
        return Arrays.stream(having)
                        .filter(set -> set.get(candidate.position()))
                        .count()
                == 1;
    }

    private int place(String code, List<String> known) {
        return places.computeIfAbsent(code, added -> {
            known.add(added);
            return known.size() - 1;
        });
    }

    private FacetIndex(FacetIndex before, CandidateSet[] dense, NarrowColumn valueAt) {
        this.layout = before.layout;
        this.codes = before.codes;
        this.places = before.places;
        this.sparse = before.sparse;
        this.anySparse = before.anySparse;
        this.lists = before.lists;
        this.ofSets = before.ofSets;
        this.pure = before.pure;
        this.dense = dense;
        this.valueAt = valueAt;
    }

    /**
     * This index after some sections changed their value. Only for one {@linkplain #ofOneValue of one value}.
     *
     * @param changed the sections whose value changed
     * @param codeOf the value of a section as it is now, one of those known
     */
    FacetIndex with(Collection<SectionAt> changed, Function<SectionAt, String> codeOf) {
        NarrowColumn at = valueAt.copy();
        long[][] having = new long[dense.length][];
        Arrays.setAll(having, place -> dense[place].bits().clone());
        for (SectionAt section : changed) {
            int now = Objects.requireNonNull(places.get(codeOf.apply(section)));
            layout.of(section).forEach(candidate -> {
                for (long[] each : having) {
                    each[candidate.word()] &= ~candidate.bit();
                }
                having[now][candidate.word()] |= candidate.bit();
                at.put(candidate.position(), now);
            });
        }
        CandidateSet[] sets = new CandidateSet[having.length];
        Arrays.setAll(sets, place -> new CandidateSet(layout, having[place]));
        return new FacetIndex(this, sets, at);
    }

    /** The candidates with at least one of these values; of sets, those that hold a section with one. */
    public CandidateSet any(Collection<String> wanted) {
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
    public CandidateSet all(Collection<String> wanted) {
        return wanted.stream().map(List::of).map(this::any).reduce(layout.all(), CandidateSet::and);
    }

    /** The sets all of whose sections have one of these values. */
    public CandidateSet only(Collection<String> wanted) {
        return any(codes.stream().filter(code -> !wanted.contains(code)).toList())
                .complement();
    }

    /**
     * For each value, in the order of {@link #codes()}, how many sections of {@code base} have it; of sets, how many have a
     * set in {@code base} all of whose sections have it. Goes through the sections of {@code base} where they are few, and
     * through the bitmaps of the values where they are many.
     */
    public int[] counts(CandidateSet base, SectionSet sections) {
        boolean few =
                anySparse || sections.size() < (long) codes.size() * layout.words() / WORDS_IN_THE_TIME_OF_A_SECTION;
        int[] counts = new int[codes.size()];
        if (few && ofSets) {
            countSetBySet(base.and(pure), counts);
        } else if (few) {
            for (int position : sections.positions()) {
                int value = valueAt.at(position);
                if (value >= 0) {
                    counts[value]++;
                } else {
                    for (int each : lists[~value]) {
                        counts[each]++;
                    }
                }
            }
        } else if (ofSets) {
            CandidateSet alike = base.and(pure);
            for (int place = 0; place < counts.length; place++) {
                counts[place] = alike.sizeOfAnd(dense[place]);
            }
        } else {
            for (int place = 0; place < counts.length; place++) {
                counts[place] = sections.sizeOfAnd(dense[place]);
            }
        }
        return counts;
    }

    /**
     * Counts candidate by candidate. The candidates of one section stand next to each other. So it is enough to remember, for each
     * value, the section that was counted last: the same section is not counted twice.
     */
    private void countSetBySet(CandidateSet alike, int[] counts) {
        int[] last = new int[counts.length];
        Arrays.fill(last, -1);
        long[] bits = alike.bits();
        for (int word = 0; word < bits.length; word++) {
            boolean plain = layout.isPlain(word);
            for (long left = bits[word]; left != 0; left &= left - 1) {
                int position = (word << 6) + Long.numberOfTrailingZeros(left);
                int value = valueAt.at(position);
                if (plain) {
                    counts[value]++;
                } else {
                    int section = layout.sectionOf(new CandidateAt(position)).place();
                    counts[value] += last[value] == section ? 0 : 1;
                    last[value] = section;
                }
            }
        }
    }

    List<String> codes() {
        return codes;
    }

    /** The count of {@code code} among {@link #counts}; 0 for a value that there is not. */
    public int countOf(int[] counts, String code) {
        Integer place = places.get(code);
        return place == null ? 0 : counts[place];
    }

    /** The counts by value, in order. */
    public Map<String, Integer> named(int[] counts) {
        Map<String, Integer> named = new LinkedHashMap<>();
        for (int place = 0; place < counts.length; place++) {
            named.put(codes.get(place), counts[place]);
        }
        return named;
    }
}
