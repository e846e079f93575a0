package ample.ledger.web.watch;

import ample.ledger.web.FreePort;
import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.GreenMailUtil;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.util.List;
import java.util.stream.Stream;

/** A real mail server on the loopback address, which is away until it is started. */
final class MailServer implements AutoCloseable {

    private static final int PATIENCE_MILLIS = 40_000;

    private final int port = FreePort.next();
    private final GreenMail mail = new GreenMail(new ServerSetup(port, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));

    /** A letter that it has taken. */
    record Letter(MimeMessage message) {

        String id() {
            return header("Message-ID");
        }

        String to() {
            return header("To");
        }

        /** Its parts as they were sent, their long lines put together again. */
        String text() {
            return GreenMailUtil.getBody(message).replace("=\r\n", "");
        }

        /** The only one of this name. */
        String header(String name) {
            try {
                return message.getHeader(name)[0];
            } catch (MessagingException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    /** With these an application hands its letters over here. */
    List<String> options() {
        return List.of("--spring.mail.host=127.0.0.1", "--spring.mail.port=" + port);
    }

    void start() {
        mail.start();
    }

    /** All that have come since it was started or has forgotten those before, twice where they came twice. */
    List<Letter> letters() {
        return Stream.of(mail.getReceivedMessages()).map(Letter::new).toList();
    }

    /** The first to somebody. */
    Letter to(String name) {
        return letters().stream()
                .filter(letter -> letter.to().startsWith(name))
                .findFirst()
                .orElseThrow();
    }

    /** Whether so many have come, or come within some time. */
    boolean have(int letters) {
        return mail.waitForIncomingEmail(PATIENCE_MILLIS, letters);
    }

    void forget() throws Exception {
        mail.purgeEmailFromAllMailboxes();
    }

    @Override
    public void close() {
        mail.stop();
    }
}
