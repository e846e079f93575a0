package ample.ledger.web.guard;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

/** How much of the processors one address gets. */
class FairShareTest {

    private final AtomicLong nanos = new AtomicLong();
    private final FairShare share = new FairShare(2, 3, nanos::get);
    private final ExecutorService threads = Executors.newCachedThreadPool();
    private final CountDownLatch end = new CountDownLatch(1);
    private final CountDownLatch working = new CountDownLatch(2);

    @AfterEach
    void stop() {
        end.countDown();
        threads.shutdownNow();
    }

    @Test
    void someAreWorkedOnSomeWaitAndTheRestComesAgain() throws Exception {
        List<Future<Integer>> first = new ArrayList<>();
        for (int i = 0; i < 2; i++) {
            first.add(threads.submit(() -> ask("10.0.0.1", "/autumn-2031/browse", true)));
        }
        assertThat(working.await(20, TimeUnit.SECONDS)).isTrue();
        List<Future<Integer>> rest = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            rest.add(threads.submit(() -> ask("10.0.0.1", "/autumn-2031/browse", false)));
        }
        int told = 0;
        while (told < 7) {
            told = (int) rest.stream().filter(Future::isDone).count();
            Thread.sleep(10);
        }
        nanos.addAndGet(Duration.ofSeconds(1).toNanos());
        assertThat(ask("10.0.0.2", "/autumn-2031/browse", false))
                .as("others have their own")
                .isEqualTo(200);
        assertThat(ask("10.0.0.1", "/assets/ledger.css", false)).isEqualTo(200);

        end.countDown();
        List<Integer> statuses = new ArrayList<>();
        for (Future<Integer> one : rest) {
            statuses.add(one.get());
        }
        assertThat(statuses).filteredOn(status -> status == 200).hasSize(3);
        assertThat(statuses).filteredOn(status -> status == 429).hasSize(7);
        assertThat(first.get(0).get()).isEqualTo(200);
        assertThat(ask("10.0.0.1", "/autumn-2031/browse", false)).isEqualTo(200);
    }

    @Test
    void whileOthersAreAboutHalfAsManyAreWorkedOn() throws Exception {
        assertThat(ask("10.0.0.2", "/autumn-2031/browse", false)).isEqualTo(200);
        Future<Integer> first = threads.submit(() -> ask("10.0.0.1", "/autumn-2031/browse", true));
        while (working.getCount() > 1) {
            Thread.sleep(1);
        }
        Future<Integer> second = threads.submit(() -> ask("10.0.0.1", "/autumn-2031/browse", true));
        assertThat(working.await(200, TimeUnit.MILLISECONDS)).as("it waits").isFalse();

        nanos.addAndGet(Duration.ofSeconds(1).toNanos());
        Future<Integer> third = threads.submit(() -> ask("10.0.0.1", "/autumn-2031/browse", true));
        assertThat(working.await(20, TimeUnit.SECONDS))
                .as("the others have gone")
                .isTrue();
        end.countDown();
        for (Future<Integer> one : List.of(first, second, third)) {
            assertThat(one.get()).isEqualTo(200);
        }
    }

    /** A provider gives a customer 64 bits of addresses: RFC 6177. */
    @Test
    void aCustomersManyAddressesAreOne() {
        assertThat(ClientAddress.of("2001:db8:1:2:3::4")).isEqualTo(ClientAddress.of("2001:db8:1:2:ffff::1"));
        assertThat(ClientAddress.of("2001:db8:1:3::4")).isNotEqualTo(ClientAddress.of("2001:db8:1:2:3::4"));
        assertThat(ClientAddress.of("::ffff:10.0.0.1")).isEqualTo("10.0.0.1");
        assertThat(ClientAddress.of("10.0.0.1")).isEqualTo("10.0.0.1");
    }

    private int ask(String address, String path, boolean long_) throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest("GET", path);
        request.setRemoteAddr(address);
        MockHttpServletResponse response = new MockHttpServletResponse();
        share.doFilter(request, response, (asked, answer) -> {
            if (long_) {
                working.countDown();
                try {
                    end.await();
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
            }
        });
        return response.getStatus();
    }
}
