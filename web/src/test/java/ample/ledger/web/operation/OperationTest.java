package ample.ledger.web.operation;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.store.TestDatabase;
import ample.ledger.web.FreePort;
import ample.ledger.web.LedgerApplication;
import ample.ledger.web.LedgerInstance;
import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.AppenderBase;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.slf4j.LoggerFactory;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.availability.AvailabilityChangeEvent;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.boot.logging.logback.StructuredLogEncoder;
import org.springframework.context.ConfigurableApplicationContext;

/** Behind a proxy, with its secrets in files, a schema that somebody else has migrated, and a port for those who run it. */
class OperationTest {

    private static LedgerInstance ledger;
    private static URI management;

    @BeforeAll
    static void start(@TempDir Path secrets) throws IOException {
        TestDatabase database = TestDatabase.create();
        LedgerInstance.start(database, "--ledger.post=" + Schedules.kernel()).close();
        int port = FreePort.next();
        management = URI.create("http://127.0.0.1:" + port);
        // The owner's password is nowhere, and the application's is in a file.
        Files.writeString(secrets.resolve("spring.datasource.password"), database.appPassword());
        List<String> options = new ArrayList<>(LedgerInstance.options(
                database,
                "--spring.config.import=configtree:" + secrets + "/",
                "--spring.flyway.enabled=false",
                "--server.tomcat.remoteip.internal-proxies=127\\.0\\.0\\.1",
                "--management.server.port=" + port,
                "--ledger.operation.access-log=true",
                "--ledger.operation.warm=3s",
                "--ledger.limits.visits=3",
                "--ledger.limits.hosts=schedule.example,127.0.0.1",
                "--logging.level.access=info"));
        options.removeIf(option -> option.matches("--spring\\.(datasource|flyway)\\.password=.*"));
        ConfigurableApplicationContext context =
                new SpringApplication(LedgerApplication.class).run(options.toArray(String[]::new));
        ledger = new LedgerInstance(
                context,
                URI.create("http://127.0.0.1:" + context.getEnvironment().getRequiredProperty("local.server.port")));
    }

    @AfterAll
    static void stop() {
        ledger.close();
    }

    private static HttpResponse<String> ask(URI address, String... headers) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(address);
        if (headers.length > 0) {
            request.headers(headers);
        }
        return HttpClient.newHttpClient().send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    /** What makes a guest of whoever sends it: something is kept. */
    private static HttpResponse<String> keep(String... headers) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(ledger.root().resolve("/autumn-2031/week/add"))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("Sec-Fetch-Site", "same-origin")
                .headers(headers)
                .POST(HttpRequest.BodyPublishers.ofString("line=40129"));
        return HttpClient.newHttpClient().send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    @Test
    void byTlsEveryCookieIsSecureAndTheBrowserIsToldToStayWithIt() throws Exception {
        HttpResponse<String> answer = keep("X-Forwarded-Proto", "https", "X-Forwarded-For", "192.0.2.7");

        List<String> cookies = answer.headers().allValues("Set-Cookie");
        assertThat(cookies).isNotEmpty().allMatch(cookie -> cookie.startsWith("__Host-") && cookie.contains("Secure"));
        assertThat(answer.headers().firstValue("Strict-Transport-Security")).contains("max-age=31536000");
        assertThat(ask(ledger.root().resolve("/autumn-2031/browse")).headers().firstValue("Strict-Transport-Security"))
                .as("not by plain HTTP")
                .isEmpty();
    }

    @Test
    void limitsAreForWhomTheProxySpeaks() throws Exception {
        for (int i = 0; i < 3; i++) {
            assertThat(keep("X-Forwarded-For", "192.0.2.1").statusCode()).isEqualTo(302);
        }
        HttpResponse<String> tooMany = keep("X-Forwarded-For", "192.0.2.1");
        assertThat(tooMany.statusCode()).isEqualTo(429);
        assertThat(tooMany.headers().firstValueAsLong("Retry-After").orElse(0)).isPositive();
        assertThat(keep("X-Forwarded-For", "192.0.2.2").statusCode()).isEqualTo(302);
    }

    /** Without a proxy that is trusted, what a request says of itself changes nothing. */
    @Test
    void whoIsNoProxyIsNotBelieved() throws Exception {
        TestDatabase database = TestDatabase.create();
        try (LedgerInstance alone = LedgerInstance.start(database, "--ledger.post=" + Schedules.kernel())) {
            HttpResponse<String> answer = ask(
                    alone.root().resolve("/autumn-2031/browse"),
                    "X-Forwarded-Proto",
                    "https",
                    "X-Forwarded-For",
                    "192.0.2.7");
            assertThat(answer.headers().firstValue("Strict-Transport-Security")).isEmpty();
            assertThat(ask(alone.root().resolve("/actuator/health")).statusCode())
                    .as("nothing is told on the public port")
                    .isEqualTo(404);
        }
    }

    @Test
    void healthAndMeasuresAreOnAPortOfTheirOwn() throws Exception {
        assertThat(ask(management.resolve("/actuator/health/readiness")).body()).contains("\"UP\"");
        assertThat(ask(management.resolve("/actuator/health/liveness")).body()).contains("\"UP\"");
        assertThat(ask(management.resolve("/actuator/prometheus")).body())
                .contains(
                        "ledger_sections 113.0",
                        "ledger_finding_seconds_count",
                        "ledger_streams 0.0",
                        "ledger_registrar_silence_seconds",
                        "ledger_letters_waiting",
                        "ledger_editions_to_tell")
                .contains("http_server_requests_seconds_count{");
        for (String secret : List.of("/actuator/env", "/actuator/beans", "/actuator/heapdump", "/autumn-2031/browse")) {
            assertThat(ask(management.resolve(secret)).statusCode()).isEqualTo(404);
        }
        assertThat(ask(ledger.root().resolve("/actuator/health")).statusCode()).isEqualTo(404);
    }

    @Test
    void whoIsAskedToStopIsNotReady() throws Exception {
        AvailabilityChangeEvent.publish(ledger.context(), ReadinessState.REFUSING_TRAFFIC);
        assertThat(ask(management.resolve("/actuator/health/readiness")).statusCode())
                .isEqualTo(503);
        assertThat(ask(management.resolve("/actuator/health/liveness")).statusCode())
                .isEqualTo(200);
        AvailabilityChangeEvent.publish(ledger.context(), ReadinessState.ACCEPTING_TRAFFIC);
    }

    @Test
    void eachRequestHasANameInTheLogWhichSaysNothingOfWhoAsks() throws Exception {
        Logger access = (Logger) LoggerFactory.getLogger("access");
        StructuredLogEncoder json = new StructuredLogEncoder();
        json.setFormat("ecs");
        json.setContext(access.getLoggerContext());
        json.start();
        List<String> lines = new CopyOnWriteArrayList<>();
        AppenderBase<ILoggingEvent> appender = new AppenderBase<>() {
            @Override
            protected void append(ILoggingEvent event) {
                lines.add(new String(json.encode(event), StandardCharsets.UTF_8));
            }
        };
        appender.start();
        access.addAppender(appender);
        // Another instance that was started here since has set the level anew.
        access.setLevel(Level.INFO);
        try {
            HttpResponse<String> answer =
                    ask(ledger.root().resolve("/autumn-2031/browse?subject=tide"), "X-Forwarded-For", "192.0.2.9");
            String name = answer.headers().firstValue("X-Request-Id").orElseThrow();

            // The line is written when the answer is on its way already.
            String line = "";
            for (int i = 0; line.isEmpty() && i < 100; i++) {
                Thread.sleep(50);
                line = lines.stream()
                        .filter(pairs -> pairs.contains(name))
                        .findFirst()
                        .orElse("");
            }
            assertThat(line)
                    .contains("\"path\":\"/{term}/browse\"", "\"status_code\":200")
                    .doesNotContain("tide", "192.0.2.9");
        } finally {
            access.detachAppender(appender);
        }
    }
}
