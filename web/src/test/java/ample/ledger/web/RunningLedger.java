package ample.ledger.web;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.store.Editions;
import ample.ledger.store.SeatWords;
import ample.ledger.store.TestDatabase;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.function.IntSupplier;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * The application under test: started once for all tests, as it really starts, on a free port, with the demo posted to a
 * database of its own and the clock at the demo's moment. Tests take it as a parameter.
 */
public final class RunningLedger implements BeforeAllCallback, ParameterResolver {

    /**
     * Where it answers.
     *
     * @param seats takes the registrar's words, as from another instance
     * @param statements how many SQL statements requests have caused since it was last asked
     * @param editions posts to its database as another instance would, without telling this one
     */
    public record Ledger(URI root, Editions editions, SeatWords seats, IntSupplier statements) {

        /** The address of a page of the demo's term: {@code page("browse?at=tidewall")}. */
        public String page(String rest) {
            return root + "/autumn-2031/" + rest;
        }

        /** Waits until a term that was posted is there to be browsed. */
        void awaitTerm(String term) throws InterruptedException {
            var request = HttpRequest.newBuilder(URI.create(root + "/" + term + "/browse"))
                    .build();
            for (int i = 0; i < 100; i++) {
                try {
                    if (HttpClient.newHttpClient()
                                    .send(request, HttpResponse.BodyHandlers.discarding())
                                    .statusCode()
                            == 200) {
                        return;
                    }
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
                Thread.sleep(200);
            }
            throw new AssertionError(term + " is not there after twenty seconds");
        }
    }

    private record Started(ConfigurableApplicationContext context, Ledger ledger) implements AutoCloseable {

        @Override
        public void close() {
            context.close();
        }
    }

    @Override
    public void beforeAll(ExtensionContext context) {
        started(context);
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == Ledger.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        return started(context).ledger();
    }

    private static Started started(ExtensionContext context) {
        return context.getRoot()
                .getStore(ExtensionContext.Namespace.create(RunningLedger.class))
                .getOrComputeIfAbsent(Started.class, type -> start(), Started.class);
    }

    private static Started start() {
        TestDatabase database = TestDatabase.create();
        StatementCount statements = new StatementCount();
        SpringApplication application = new SpringApplication(LedgerApplication.class);
        application.addInitializers(before -> before.getBeanFactory().addBeanPostProcessor(statements));
        var context = application.run(
                "--server.port=0",
                "--spring.datasource.url=" + database.url(),
                "--spring.datasource.password=" + database.appPassword(),
                "--spring.flyway.password=" + database.ownerPassword(),
                "--ledger.post=" + Schedules.kernel(),
                "--ledger.note=The demo",
                "--ledger.desk-password=neap tide",
                "--ledger.student-password=neap tide",
                "--ledger.clock=2031-06-17T08:41:00Z",
                "--logging.level.root=warn",
                "--spring.main.banner-mode=off");
        String port = context.getEnvironment().getRequiredProperty("local.server.port");
        return new Started(
                context,
                new Ledger(
                        URI.create("http://127.0.0.1:" + port),
                        context.getBean(Editions.class),
                        context.getBean(SeatWords.class),
                        statements::sinceLast));
    }
}
