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
import java.util.List;
import java.util.function.IntSupplier;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;

/**
 * The application under test: started once for all tests but those with a ledger of their own ({@link OwnLedger}), as it really starts, on a free port, with the demo posted to a
 * database of its own and the clock at the demo's moment. Tests take it as a parameter.
 */
public final class RunningLedger implements BeforeAllCallback, ParameterResolver {

    /**
     * Where it answers.
     *
     * @param routes everything that it answers
     * @param seats takes the registrar's words, as from another instance
     * @param statements how many SQL statements requests have caused since it was last asked
     * @param editions posts to its database as another instance would, without telling this one
     */
    public record Ledger(
            URI root,
            TestDatabase database,
            Editions editions,
            SeatWords seats,
            IntSupplier statements,
            List<LedgerInstance.Route> routes) {

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

    private record Started(LedgerInstance instance, Ledger ledger) implements AutoCloseable {

        @Override
        public void close() {
            instance.close();
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
        boolean own = context.getRequiredTestClass().isAnnotationPresent(OwnLedger.class);
        // What is kept for a class is found for its methods too, and closed with it.
        return (own ? context : context.getRoot())
                .getStore(ExtensionContext.Namespace.create(RunningLedger.class))
                .getOrComputeIfAbsent(own ? OwnLedger.class : Started.class, type -> start(), Started.class);
    }

    private static Started start() {
        TestDatabase database = TestDatabase.create();
        StatementCount statements = new StatementCount();
        SpringApplication application = new SpringApplication(LedgerApplication.class);
        application.addInitializers(before -> before.getBeanFactory().addBeanPostProcessor(statements));
        LedgerInstance instance = LedgerInstance.start(
                application,
                database,
                "--ledger.post=" + Schedules.kernel(),
                "--ledger.note=The demo",
                // All tests come from one address.
                "--ledger.limits.visits=100000",
                "--ledger.limits.sign-ins=100000",
                "--ledger.limits.uploads=100000",
                "--ledger.limits.weaves=100000");
        return new Started(
                instance,
                new Ledger(
                        instance.root(),
                        database,
                        instance.context().getBean(Editions.class),
                        instance.context().getBean(SeatWords.class),
                        statements::sinceLast,
                        instance.routes()));
    }
}
