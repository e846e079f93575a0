package ample.ledger.web.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.core.weave.Compatibility.Count;
import ample.ledger.core.weave.Weaver.Woven;
import ample.ledger.web.guard.TooManyException;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class WeaveJobsTest {

    private static final WeaveJobs.Asker WREN = new WeaveJobs.Asker("wren", () -> {});
    private static final WeaveJobs.Asker MARIS = new WeaveJobs.Asker("maris", () -> {});

    private final WeaveJobs jobs = new WeaveJobs();

    @AfterEach
    void end() {
        jobs.end();
    }

    @Test
    void aLongWeavingSaysHowFarItIsAndCanBeStopped() throws Exception {
        CountDownLatch halfWay = new CountDownLatch(1);
        WeaveJobs.Job job = jobs.job("long", WREN, watch -> {
            watch.reached(0.5);
            halfWay.countDown();
            while (!watch.stopped()) {
                Thread.onSpinWait();
            }
            return found(false);
        });
        halfWay.await();

        assertThat(job.result()).as("a page does not wait for it").isEmpty();
        job.show(found(true));
        assertThat(job.result()).as("but shows what there is").hasValue(found(true));
        assertThat(job.share()).isEqualTo(0.5);
        assertThat(jobs.job("long", WREN, watch -> found(true)))
                .as("whoever asks the same watches the same")
                .isSameAs(job);

        jobs.stop("long");
        jobs.stop("unknown");
        assertThat(soon(job))
                .hasValueSatisfying(best -> assertThat(best.woven().proven()).isFalse());
    }

    @Test
    void aShortOneIsThereAtOnceAndRemembered() {
        WeaveJobs.Job job = jobs.job("short", WREN, watch -> found(true));

        assertThat(job.result()).hasValue(found(true));
        assertThat(jobs.job("short", WREN, WeaveJobsTest::never).result()).hasValue(found(true));
    }

    /** Whoever asks for many hard ones has one of the two places, and their newest in the line; the others go on beside them. */
    @Test
    void oneVisitorKeepsNobodyElseWaiting() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch end = new CountDownLatch(1);
        List<WeaveJobs.Job> hard = IntStream.range(0, 30)
                .mapToObj(i -> jobs.job("hard" + i, WREN, watch -> {
                    begun.countDown();
                    await(end);
                    return found(true);
                }))
                .toList();

        assertThat(jobs.job("easy", MARIS, watch -> found(true)).result()).isPresent();
        await(begun);
        assertThat(hard).filteredOn(job -> !job.waits()).containsExactly(hard.get(0));

        end.countDown();
        assertThat(soon(hard.get(29))).isPresent();
        assertThat(hard.get(28).waits()).as("the newest took its place").isTrue();
    }

    /** A weaving that had to wait half a minute has its own half minute all the same. */
    @Test
    void theClockRunsFromTheStartOfTheWork() throws Exception {
        CountDownLatch end = new CountDownLatch(1);
        jobs.job("first", WREN, watch -> {
            await(end);
            return found(true);
        });
        WeaveJobs.Job waiting = jobs.job("second", WREN, watch -> found(!watch.stopped()));
        assertThat(waiting.waits()).isTrue();
        end.countDown();

        assertThat(soon(waiting))
                .hasValueSatisfying(done -> assertThat(done.woven().proven()).isTrue());
    }

    @Test
    void theLineIsNotEndlessAndWhoMayNotBeginIsNotInIt() {
        CountDownLatch end = new CountDownLatch(1);
        for (int i = 0; i < 42; i++) {
            jobs.job("of" + i, new WeaveJobs.Asker("visitor" + i, () -> {}), watch -> {
                await(end);
                return found(true);
            });
        }
        assertThatThrownBy(() -> jobs.job("one more", MARIS, watch -> found(true)))
                .isInstanceOf(TooManyException.class);
        assertThatThrownBy(() ->
                        jobs.job("limited", new WeaveJobs.Asker("x", WeaveJobsTest::refuse), WeaveJobsTest::never))
                .hasMessage("refused");
        end.countDown();
    }

    private static void refuse() {
        throw new IllegalStateException("refused");
    }

    private static void await(CountDownLatch end) {
        try {
            end.await();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static Optional<WeaveJobs.Done> soon(WeaveJobs.Job job) {
        Optional<WeaveJobs.Done> done = job.result();
        for (int tries = 0; done.isEmpty() && tries < 50; tries++) {
            done = job.result();
        }
        return done;
    }

    private static WeaveJobs.Done never(WeaveJobs.Job job) {
        throw new AssertionError("It is remembered");
    }

    private static WeaveJobs.Done found(boolean proven) {
        return new WeaveJobs.Done(new Woven(new Count(1, 1, proven), List.of(), proven), true, Optional.empty());
    }
}
