package ample.ledger.bench;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Order;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.demo.DemoBundles;
import java.io.IOException;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;

/**
 * The whole answer to each brief of one fixed mix of 200. It has what is left after each condition and with "only this one".
 * It has the counts of all values, the density of the week, and the first 60 lines by first meeting. One shot is the mix.
 *
 * <p>Before anything is measured the answers are compared: a peer that answers another question measures nothing.
 */
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(value = 1, jvmArgs = "-Xmx8g")
public class FindBenchmark {

    private static final LocalDate TODAY = LocalDate.of(2031, 6, 17);
    private static final int COMPARED = 20;

    /** The ledger's index and the mix. */
    @State(Scope.Benchmark)
    public static class Ours {

        @Param("20000")
        private int sections;

        private TermIndex index;
        private List<Brief> mix;

        @Setup
        public void prepare() {
            index = index(sections);
            mix = BriefMix.of(index);
        }

        /** Goes on only if a peer gives the same answers. */
        private void compare(Answering peer) throws SQLException {
            for (Brief brief : mix.subList(0, COMPARED)) {
                String wanted = Answer.of(index, brief).toString();
                String actual = peer.answer(brief).toString();
                if (!wanted.equals(actual)) {
                    throw new IllegalStateException(
                            "Another answer for " + brief + "\n wanted " + wanted + "\n but was " + actual);
                }
            }
        }
    }

    private interface Answering {
        Answer answer(Brief brief) throws SQLException;
    }

    /** The pass over the records. */
    @State(Scope.Benchmark)
    public static class Plain {

        private PlainPass pass;

        @Setup
        public void prepare(Ours ours) throws SQLException {
            pass = new PlainPass(new Rows(ours.index.schedule()));
            ours.compare(pass::answer);
        }
    }

    /** PostgreSQL with the same rows. */
    @State(Scope.Benchmark)
    public static class Postgres {

        private SqlPeer peer;

        @Setup
        public void prepare(Ours ours) throws SQLException, IOException {
            Rows rows = new Rows(ours.index.schedule());
            peer = SqlPeer.postgres(rows, new PlainPass(rows));
            ours.compare(peer::answer);
        }
    }

    /** DuckDB with the same rows. */
    @State(Scope.Benchmark)
    public static class DuckDb {

        private SqlPeer peer;

        @Setup
        public void prepare(Ours ours) throws SQLException, IOException {
            Rows rows = new Rows(ours.index.schedule());
            peer = SqlPeer.duckdb(rows, new PlainPass(rows));
            ours.compare(peer::answer);
        }
    }

    /** Lucene with a document for each section. */
    @State(Scope.Benchmark)
    public static class Lucene {

        private LucenePeer peer;

        @Setup
        public void prepare(Ours ours) throws IOException {
            Rows rows = new Rows(ours.index.schedule());
            peer = new LucenePeer(rows, new PlainPass(rows));
            // Sections by themselves: never fewer than fit with a complete set.
            for (Brief brief : ours.mix.subList(0, COMPARED)) {
                int alone = peer.answer(brief).fitting();
                if (alone < Findings.count(Asker.now(ours.index), brief)) {
                    throw new IllegalStateException("Lucene finds " + alone + " for " + brief);
                }
            }
        }
    }

    /** As many bitmaps as values are counted; persons are counted one by one, not by bitmaps. */
    @State(Scope.Benchmark)
    public static class Bitmaps {

        private long[][] bitmaps;

        @Setup
        public void prepare(Ours ours) {
            bitmaps = bitmaps(ours.index);
        }
    }

    static TermIndex index(int sections) {
        DemoBundles demo = new DemoBundles(Path.of("demo/kernel"), 2031);
        return new TermIndex(ScheduleBundle.of(demo.autumn(sections)).schedule(), TODAY);
    }

    static long[][] bitmaps(TermIndex index) {
        int values = 7
                + Arrays.stream(Facet.values())
                        .filter(facet -> facet != Facet.INSTRUCTOR)
                        .mapToInt(facet -> facet.values(index.schedule()).size())
                        .sum();
        int words = (index.schedule().sections().size() + Long.SIZE - 1) / Long.SIZE;
        Random dice = new Random(1);
        return Stream.generate(() -> dice.longs(words).toArray()).limit(values).toArray(long[][]::new);
    }

    /** What the ledger does for the mix; each part is passed on. */
    static void answer(TermIndex index, List<Brief> mix, Consumer<Object> out) {
        for (Brief brief : mix) {
            Findings findings = Findings.of(Asker.now(index), brief);
            out.accept(findings.account());
            out.accept(findings.valueCounts());
            out.accept(findings.density());
            out.accept(findings.first(Order.MEETING, Answer.LINES));
        }
    }

    /** One pass of {@code and} and population count over a bitmap for each value counted and each condition. */
    static long passes(long[][] bitmaps, List<Brief> mix) {
        long sum = 0;
        for (Brief brief : mix) {
            List<Condition> conditions = brief.conditions();
            for (int i = 0; i < bitmaps.length + conditions.size(); i++) {
                long[] one = bitmaps[i % bitmaps.length];
                long[] other = bitmaps[(i * 7 + 3) % bitmaps.length];
                int both = 0;
                for (int word = 0; word < one.length; word++) {
                    both += Long.bitCount(one[word] & other[word]);
                }
                sum += both;
            }
        }
        return sum;
    }

    @Benchmark
    @Warmup(iterations = 250)
    @Measurement(iterations = 60)
    public void ledger(Ours ours, Blackhole out) {
        answer(ours.index, ours.mix, out::consume);
    }

    /** Matches and value counts only, which is what Lucene is asked. */
    @Benchmark
    @Warmup(iterations = 250)
    @Measurement(iterations = 60)
    public void ledgerOnlyWhatLuceneIsAsked(Ours ours, Blackhole out) {
        for (Brief brief : ours.mix) {
            Findings findings = Findings.of(Asker.now(ours.index), brief);
            out.consume(findings.size());
            out.consume(findings.valueCounts());
        }
    }

    @Benchmark
    @Warmup(iterations = 250)
    @Measurement(iterations = 60)
    public long floorOfBitmaps(Ours ours, Bitmaps floor) {
        return passes(floor.bitmaps, ours.mix);
    }

    @Benchmark
    @Warmup(iterations = 2)
    @Measurement(iterations = 5)
    public void plainPass(Ours ours, Plain plain, Blackhole out) {
        for (Brief brief : ours.mix) {
            out.consume(plain.pass.answer(brief));
        }
    }

    @Benchmark
    @Warmup(iterations = 10)
    @Measurement(iterations = 10)
    public void luceneMatchesAndCounts(Ours ours, Lucene lucene, Blackhole out) throws IOException {
        for (Brief brief : ours.mix) {
            out.consume(lucene.peer.answer(brief));
        }
    }

    @Benchmark
    @Warmup(iterations = 1)
    @Measurement(iterations = 3)
    public void duckdb(Ours ours, DuckDb duckdb, Blackhole out) throws SQLException {
        for (Brief brief : ours.mix) {
            out.consume(duckdb.peer.answer(brief));
        }
    }

    @Benchmark
    @Warmup(iterations = 1)
    @Measurement(iterations = 3)
    public void postgres(Ours ours, Postgres postgres, Blackhole out) throws SQLException {
        for (Brief brief : ours.mix) {
            out.consume(postgres.peer.answer(brief));
        }
    }
}
