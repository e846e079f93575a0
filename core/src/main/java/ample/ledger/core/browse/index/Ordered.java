package ample.ledger.core.browse.index;

import java.util.Arrays;
import java.util.List;

/** Picks the first sections of a set in one order, without sorting the rest. */
public final class Ordered {

    /** How many sections can be looked up in the time of offering one to be kept in order; measured, not delicate. */
    private static final int LOOKS_IN_THE_TIME_OF_KEEPING = 16;

    private final Moment moment;
    private final Order order;

    public Ordered(Moment moment, Order order) {
        this.moment = moment;
        this.order = order;
    }

    /**
     * At most {@code most} sections. There are two ways to find them. One looks at every section of {@code set} and keeps the
     * best. The other goes through all sections in their order until enough of them are in {@code set}; it is for orders that
     * seats do not change, and is taken where it is less work.
     */
    public List<SectionAt> first(SectionSet set, int most) {
        CandidatesInOrder inOrder = moment.index().inOrder(order);
        int wanted = Math.min(most, set.size());
        if (inOrder != null
                && (long) set.size() * set.size() * LOOKS_IN_THE_TIME_OF_KEEPING > (long) wanted * inOrder.size()) {
            return set.first(inOrder, wanted);
        }
        Best best = new Best(wanted);
        int[] ranks = moment.index().ranks(order);
        set.forEach(section -> best.offer(
                ranks != null
                        ? ranks[section.place()]
                        : order.placeBySeats(
                                moment.index().section(section), moment.seats().reading(section)),
                section));
        return best.inOrder();
    }

    /**
     * The least keys offered so far. They lie in a buffer of twice their number, which is sorted and cut in half whenever it
     * is full. Most later offers are greater than all that are kept, and cost one comparison.
     */
    private static final class Best {

        private final int most;
        private final long[] keys;
        private int held;
        private long bound = Long.MAX_VALUE;

        Best(int most) {
            this.most = most;
            this.keys = new long[Math.max(2 * most, 1)];
        }

        /** Keys are of the place, then of the section, which stands for the order of the schedule. */
        void offer(int place, SectionAt section) {
            long key = (long) place << Integer.SIZE | section.place();
            if (key < bound && most > 0) {
                keys[held++] = key;
                if (held == keys.length) {
                    cutBack();
                }
            }
        }

        private void cutBack() {
            Arrays.sort(keys, 0, held);
            held = Math.min(held, most);
            bound = held > 0 && held == most ? keys[held - 1] : Long.MAX_VALUE;
        }

        List<SectionAt> inOrder() {
            cutBack();
            return Arrays.stream(keys, 0, held)
                    .mapToObj(key -> new SectionAt((int) key))
                    .toList();
        }
    }
}
