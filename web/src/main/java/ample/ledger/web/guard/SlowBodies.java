package ample.ledger.web.guard;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.net.SocketTimeoutException;
import java.nio.ByteBuffer;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.apache.coyote.InputBuffer;
import org.apache.tomcat.util.net.ApplicationBufferHandler;
import org.springframework.http.HttpStatus;

/**
 * Bounds how long a request may take to arrive, and how many of one address, and of all, arrive at once. A thread waits while a body
 * arrives, and there are some hundred of them; Tomcat itself bounds only the pause between two bytes.
 */
final class SlowBodies extends ValveBase {

    /** The name of an attribute of requests whose rest nobody wants to hear. */
    static final String HANG_UP = SlowBodies.class.getName();

    /** Bodies under way take at most this part of the threads, so that pages can always be read. */
    private static final int MOST = 100;

    private static final Duration LONGEST_REST = Duration.ofSeconds(5);
    private static final long LARGEST_REST = 8 << 20;

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
        // What the server itself has refused already is answered, and its connection left.
        if (response.getStatus() >= HttpStatus.BAD_REQUEST.value() || !hasBody(request)) {
            getNext().invoke(request, response);
            return;
        }
        String address = ClientAddress.of(request.getRemoteAddr());
        if (!enter(address)) {
            response.setHeader("Retry-After", "5");
            BarePage.write(response.getResponse(), HttpStatus.TOO_MANY_REQUESTS.value());
            hangUp(request, response);
            return;
        }
        org.apache.coyote.Request arriving = request.getCoyoteRequest();
        InputBuffer body = arriving.getInputBuffer();
        // As it was sent: of what cannot be decoded there is no other.
        boolean desk = String.valueOf(arriving.requestURI()).startsWith("/desk/");
        Timed timed = new Timed(body, longest.multipliedBy(desk ? 10 : 1), address);
        arriving.setInputBuffer(timed);
        try {
            getNext().invoke(request, response);
        } finally {
            if (request.getAttribute(HANG_UP) != null || !timed.readToTheEnd()) {
                hangUp(request, response);
            }
            // The connection goes on with other requests.
            arriving.setInputBuffer(body);
            timed.leave();
        }
    }

    private static boolean hasBody(Request request) {
        String length = request.getHeader("Content-Length");
        return length != null && !length.equals("0") || request.getHeader("Transfer-Encoding") != null;
    }

    /** Tomcat would wait for the rest of the body, however slowly it comes, to hear the next request on the connection. */
    private static void hangUp(Request request, Response response) throws IOException {
        response.finishResponse();
        request.getCoyoteRequest()
                .action(ActionCode.CLOSE_NOW, new IOException("The rest of the body is not waited for"));
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
    private final class Timed implements InputBuffer, ApplicationBufferHandler {

        private final InputBuffer body;
        private final String address;
        private long until;
        private boolean ended;
        private boolean gone;
        private ByteBuffer passedOver = ByteBuffer.allocate(0);

        Timed(InputBuffer body, Duration time, String address) {
            this.body = body;
            this.until = System.nanoTime() + time.toNanos();
            this.address = address;
        }

        @Override
        public int doRead(ApplicationBufferHandler handler) throws IOException {
            if (System.nanoTime() - until > 0) {
                throw new SocketTimeoutException("The request took too long to arrive");
            }
            int read = body.doRead(handler);
            if (read < 0) {
                ended = true;
                leave();
            }
            return read;
        }

        /**
         * Passes over what nobody wanted to read, so that who sent too much hears why: for a few seconds, and some megabytes.
         *
         * @return whether that was all of it
         */
        boolean readToTheEnd() {
            until = Math.min(until, System.nanoTime() + LONGEST_REST.toNanos());
            long rest = 0;
            try {
                while (!ended && rest < LARGEST_REST && doRead(this) >= 0) {
                    rest += passedOver.remaining();
                }
            } catch (IOException slowOrGone) {
                return false;
            }
            return ended;
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

        @Override
        public void setByteBuffer(ByteBuffer buffer) {
            passedOver = buffer;
        }

        @Override
        public ByteBuffer getByteBuffer() {
            return passedOver;
        }

        @Override
        public void expand(int size) {
            // What is passed over needs no room.
        }
    }
}
