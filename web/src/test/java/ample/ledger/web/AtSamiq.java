package ample.ledger.web;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.store.TestDatabase;
import ample.ledger.web.LedgerInstance.Visitor;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;

/** An instance with the small term of an institution that is unlike the demo's. */
abstract class AtSamiq {

    static final Path SAMIQ = Schedules.repository().resolve("demo/samiq");

    static LedgerInstance instance;

    /** Somebody who only looks, and of whom nothing is kept. */
    private static Visitor reader;

    @BeforeAll
    static void start() {
        instance =
                LedgerInstance.start(TestDatabase.create(), "--ledger.post=" + SAMIQ, "--ledger.limits.visits=1000000");
        reader = new Visitor(instance.root());
    }

    @AfterAll
    static void stop() {
        instance.close();
    }

    static HttpResponse<String> page(String path) throws Exception {
        return reader.follow(reader.get(path));
    }
}
