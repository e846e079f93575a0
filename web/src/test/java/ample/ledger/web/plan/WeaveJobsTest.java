package ample.ledger.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.weave.Compatibility.Count;
import ample.ledger.core.weave.Weaver.Woven;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class WeaveJobsTest {

    private final WeaveJobs jobs = new WeaveJobs();

    @AfterEach
    void end() {
        jobs.end();
    }

    @Test
    void aLongWeavingSaysHowFarItIsAndCanBeStopped() throws Exception {
        CountDownLatch halfWay = new CountDownLatch(1);
        WeaveJobs.Job job = jobs.job("long", watch -> {
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
        assertThat(jobs.job("long", watch -> found(true)))
                .as("whoever asks the same watches the same")
                .isSameAs(job);

        jobs.stop("long");
        jobs.stop("unknown");
        Optional<WeaveJobs.Done> done = job.result();
        for (int tries = 0; done.isEmpty() && tries < 50; tries++) {
            done = job.result();
        }
        assertThat(done)
                .hasValueSatisfying(best -> assertThat(best.woven().proven()).isFalse());
    }

    @Test
    void aShortOneIsThereAtOnceAndRemembered() {
        WeaveJobs.Job job = jobs.job("short", watch -> found(true));

        assertThat(job.result()).hasValue(found(true));
        assertThat(jobs.job("short", WeaveJobsTest::never).result()).hasValue(found(true));
    }

    private static WeaveJobs.Done never(WeaveJobs.Job job) {
        throw new AssertionError("It is remembered");
    }

    private static WeaveJobs.Done found(boolean proven) {
        return new WeaveJobs.Done(new Woven(new Count(1, 1, proven), List.of(), proven), true, Optional.empty());
    }
}
