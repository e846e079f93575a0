package ample.ledger.web.registrar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A registrar that is slow, says nonsense, fails, or is gone. */
class RegistrarFaultsTest {

    private static final String GOOD =
            "{\"student\":\"a\",\"name\":\"A\",\"asOf\":\"2031-06-17T08:41:00Z\",\"creditsEarned\":3,\"level\":1}";

    private final AtomicInteger asked = new AtomicInteger();
    private final CountDownLatch ended = new CountDownLatch(1);
    private volatile int status = 200;
    private volatile String said = GOOD;
    private volatile boolean slow;
    private HttpServer server;

    @BeforeEach
    void start() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.setExecutor(Executors.newCachedThreadPool());
        server.createContext("/", exchange -> {
            asked.incrementAndGet();
            if (slow) {
                await();
            }
            byte[] written = said.getBytes(StandardCharsets.UTF_8);
            exchange.getResponseHeaders().set("Content-Type", "application/json");
            exchange.sendResponseHeaders(status, written.length);
            exchange.getResponseBody().write(written);
            exchange.close();
        });
        server.start();
    }

    private void await() {
        try {
            assertThat(ended.await(60, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @AfterEach
    void stop() {
        ended.countDown();
        server.stop(0);
    }

    private Registrar registrar(Duration patience) {
        return new HttpRegistrar(
                new RegistrarSettings(
                        "http://127.0.0.1:" + server.getAddress().getPort(),
                        "key",
                        patience,
                        Duration.ofSeconds(2),
                        false),
                Clock.systemUTC());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "<html>", "[]", "{\"student\":\"a\"}", "{\"creditsEarned\":-1,\"level\":1,\"student\":\"a\"}"
            })
    void whatMakesNoSenseIsNoAnswer(String nonsense) {
        said = nonsense;

        assertThatThrownBy(() -> registrar(Duration.ofSeconds(20)).student("a"))
                .isInstanceOf(RegistrarAwayException.class);
    }

    @Test
    void aSlowOneIsNotWaitedFor() {
        slow = true;

        assertThatThrownBy(() -> registrar(Duration.ofMillis(200)).student("a"))
                .isInstanceOf(RegistrarAwayException.class);
    }

    /** What changes nothing is asked once more; after a few without an answer nothing is asked for a while, and then again. */
    @Test
    void oneThatFailsIsLeftAloneForAWhileAndFoundAgain() throws Exception {
        Registrar registrar = registrar(Duration.ofSeconds(20));
        status = 500;
        for (int i = 0; i < 12; i++) {
            assertThatThrownBy(() -> registrar.student("a")).isInstanceOf(RegistrarAwayException.class);
        }
        assertThat(asked.get()).as("three questions, each of them twice").isEqualTo(6);

        status = 200;
        for (int i = 0; i < 120 && !answers(registrar); i++) {
            Thread.sleep(250);
        }
        assertThat(answers(registrar)).isTrue();
    }

    private static boolean answers(Registrar registrar) {
        try {
            return registrar.student("a").isPresent();
        } catch (RegistrarAwayException away) {
            return false;
        }
    }

    /** What it said last stands while it is away, with the moment at which it was so. */
    @Test
    void whatIsRememberedStandsWhileItIsAway() {
        Registrar remembered = new RememberedStudents(registrar(Duration.ofSeconds(20)), Duration.ZERO, List::of);
        assertThat(remembered.student("a")).isPresent();

        status = 503;

        assertThat(remembered.student("a").orElseThrow().asOf()).isEqualTo("2031-06-17T08:41:00Z");
        assertThatThrownBy(() -> remembered.student("b")).isInstanceOf(RegistrarAwayException.class);
    }
}
