package ample.ledger.standin.submission;

import ample.ledger.core.registrar.rules.Pool;
import ample.ledger.core.registrar.rules.PoolName;
import ample.ledger.core.schedule.SeatPool;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** How pools stand, column by column. */
final class SeatRows {

    private final List<Map.Entry<PoolName, Pool>> pools;

    SeatRows(Map<PoolName, Pool> pools) {
        this.pools = List.copyOf(pools.entrySet());
    }

    public String[] getTerms() {
        return pools.stream().map(pool -> pool.getKey().term()).toArray(String[]::new);
    }

    public String[] getPools() {
        return pools.stream().map(pool -> pool.getKey().code()).toArray(String[]::new);
    }

    public Integer[] getEnrolled() {
        return column(pool -> pool.count().enrolled());
    }

    public Integer[] getWaiting() {
        return column(pool -> pool.count().waiting());
    }

    public Integer[] getPromised() {
        return column(pool -> pool.count().promised());
    }

    /** As PostgreSQL writes an array of numbers. */
    public String[] getClaimed() {
        return pools.stream()
                .map(pool -> pool.getValue().count().claimed().stream()
                        .map(String::valueOf)
                        .collect(Collectors.joining(",", "{", "}")))
                .toArray(String[]::new);
    }

    public Integer[] getMost() {
        return column(pool -> {
            SeatPool posted = pool.posted();
            return Math.max(
                    posted.capacity(),
                    posted.count().enrolled() + posted.count().promised());
        });
    }

    private Integer[] column(Function<Pool, Integer> value) {
        return pools.stream().map(pool -> value.apply(pool.getValue())).toArray(Integer[]::new);
    }
}
