package ample.ledger.web.guard;

import java.io.IOException;
import java.io.UncheckedIOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.jspecify.annotations.Nullable;

/** Says what Tomcat refuses before any page is asked for it in our own words, and nothing of Tomcat. */
public final class TomcatErrors extends ErrorReportValve {

    @Override
    protected void report(Request request, Response response, @Nullable Throwable thrown) {
        if (response.getStatus() < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
            return;
        }
        try {
            BarePage.write(response.getResponse(), response.getStatus());
        } catch (IOException gone) {
            throw new UncheckedIOException("Who asked is gone", gone);
        }
    }
}
