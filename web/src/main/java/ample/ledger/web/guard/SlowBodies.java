package ample.ledger.web.guard;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.net.SocketTimeoutException;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.InputBuffer;
import org.apache.tomcat.util.net.ApplicationBufferHandler;
import org.springframework.http.HttpStatus;

/**
 * Bounds how long a request may take to arrive, and how many of one address, and of all, arrive at once. A thread waits while a body
 * arrives, and there are some hundred of them; Tomcat itself bounds only the pause between two bytes.
 */
final class SlowBodies extends ValveBase {

    /** Bodies under way take at most this part of the threads, so that pages can always be read. */
    private static final int MOST = 100;

    private final int mostOfAddress;
    private final Duration longest;
    private final AtomicInteger all = new AtomicInteger();
    private final Map<String, Integer> byAddress = new ConcurrentHashMap<>();

    /**
     * @param mostOfAddress how many bodies of one address may be under way at once
     * @param longest the time for a whole body; the desk's are large, and have ten times as long
     */
    SlowBodies(int mostOfAddress, Duration longest) {
        super(true);
        this.mostOfAddress = mostOfAddress;
        this.longest = longest;
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        if (request.getContentLengthLong() <= 0 && request.getHeader("Transfer-Encoding") == null) {
            getNext().invoke(request, response);
            return;
        }
        String address = ClientAddress.of(request.getRemoteAddr());
        if (!enter(address)) {
            response.setHeader("Retry-After", "5");
            BarePage.write(response.getResponse(), HttpStatus.TOO_MANY_REQUESTS.value());
            return;
        }
        org.apache.coyote.Request arriving = request.getCoyoteRequest();
        InputBuffer body = arriving.getInputBuffer();
        boolean desk = request.getRequestURI().startsWith("/desk/");
        Timed timed = new Timed(
                body, System.nanoTime() + longest.multipliedBy(desk ? 10 : 1).toNanos(), address);
        arriving.setInputBuffer(timed);
        try {
            getNext().invoke(request, response);
        } finally {
            // The connection goes on with other requests.
            arriving.setInputBuffer(body);
            timed.leave();
        }
    }

    private boolean enter(String address) {
        if (all.incrementAndGet() > MOST) {
            all.decrementAndGet();
            return false;
        }
        if (byAddress.merge(address, 1, Integer::sum) > mostOfAddress) {
            left(address);
            return false;
        }
        return true;
    }

    private void left(String address) {
        all.decrementAndGet();
        byAddress.computeIfPresent(address, (same, count) -> count == 1 ? null : count - 1);
    }

    /** A body that is read until its time is over. */
    private final class Timed implements InputBuffer {

        private final InputBuffer body;
        private final long until;
        private final String address;
        private boolean gone;

        Timed(InputBuffer body, long until, String address) {
            this.body = body;
            this.until = until;
            this.address = address;
        }

        @Override
        public int doRead(ApplicationBufferHandler handler) throws IOException {
            if (System.nanoTime() - until > 0) {
                throw new SocketTimeoutException("The request took too long to arrive");
            }
            int read = body.doRead(handler);
            if (read < 0) {
                leave();
            }
            return read;
        }

        @Override
        public int available() {
            return body.available();
        }

        /** Once the body is there, the request counts no longer: it may weave, or wait for the database, as long as it likes. */
        void leave() {
            if (!gone) {
                gone = true;
                left(address);
            }
        }
    }
}
