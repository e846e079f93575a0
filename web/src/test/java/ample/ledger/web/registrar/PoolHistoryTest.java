package ample.ledger.web.registrar;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** A check that could not fail would show nothing. */
class PoolHistoryTest {

    @Test
    void seatsAreCountedInTheOrderThatExplainsMost() {
        PoolHistory overlapping = new PoolHistory();
        overlapping.took(0, 10);
        overlapping.gaveBack(20, 40);
        overlapping.took(25, 30);
        assertThat(overlapping.mostAtOnce())
                .as("given back before the other took it")
                .isEqualTo(1);

        PoolHistory sold = new PoolHistory();
        sold.took(0, 10);
        sold.took(12, 18);
        sold.gaveBack(20, 40);
        assertThat(sold.mostAtOnce()).as("heard before anybody gave it back").isEqualTo(2);
    }

    @Test
    void placesGoByWhoAskedFirst() {
        PoolHistory fair = new PoolHistory();
        fair.queued(1, 5, 30);
        fair.queued(2, 0, 40);
        fair.queued(3, 31, 50);
        assertThat(fair.outOfOrder()).as("those at once may stand either way").isZero();

        PoolHistory overtaken = new PoolHistory();
        overtaken.queued(1, 50, 60);
        overtaken.queued(2, 45, 55);
        overtaken.queued(3, 0, 10);
        assertThat(overtaken.outOfOrder()).isEqualTo(1);

        PoolHistory twice = new PoolHistory();
        twice.queued(4, 0, 10);
        twice.queued(4, 5, 20);
        assertThat(twice.outOfOrder()).isEqualTo(1);
    }
}
