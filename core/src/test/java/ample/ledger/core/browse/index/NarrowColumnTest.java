package ample.ledger.core.browse.index;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

class NarrowColumnTest {

    private static final int[] EDGES = {
        0, -1, 32_767, 32_768, -32_767, -32_768, -32_769, Integer.MAX_VALUE, Integer.MIN_VALUE
    };

    /** More people than two bytes can tell apart are counted rightly too. */
    @Property(tries = 200)
    void holdsAnyNumberLikeAnArrayDoes(@ForAll Random dice) {
        int[] plain = new int[50];
        NarrowColumn column = new NarrowColumn(plain.length);
        for (int turn = 0; turn < 100; turn++) {
            int position = dice.nextInt(plain.length);
            int number = dice.nextBoolean() ? EDGES[dice.nextInt(EDGES.length)] : dice.nextInt();
            plain[position] = number;
            column.put(position, number);
        }
        NarrowColumn before = column.copy();
        column.put(0, 70_000);

        assertThat(all(before)).isEqualTo(plain);
        assertThat(column.at(0)).isEqualTo(70_000);
        assertThat(Arrays.copyOfRange(all(column), 1, plain.length))
                .isEqualTo(Arrays.copyOfRange(plain, 1, plain.length));
    }

    private static int[] all(NarrowColumn column) {
        return IntStream.range(0, column.positions()).map(column::at).toArray();
    }
}
