package ample.ledger.standin.mail;

import ample.ledger.standin.StandinSettings;
import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.mail.BodyPart;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/** Takes letters by SMTP for everybody at the institution, and keeps them while it runs. */
@Component
class MailRoom implements SmartLifecycle {

    private final int port;
    private @Nullable GreenMail server;

    MailRoom(StandinSettings settings) {
        this.port = settings.mail();
    }

    /**
     * A letter.
     *
     * @param id its Message-ID
     * @param stop where it can be stopped; empty where it does not say
     */
    record Letter(String id, String to, String subject, String text, String stop) {}

    /** The letters taken, the latest first. One that came twice under one Message-ID is there once, as mail systems do (common practice, no source). */
    List<Letter> letters() {
        GreenMail running = server;
        if (running == null) {
            return List.of();
        }
        Map<String, Letter> byId = new LinkedHashMap<>();
        for (MimeMessage message : running.getReceivedMessages()) {
            try {
                Letter letter = letter(message);
                byId.putIfAbsent(letter.id(), letter);
            } catch (MessagingException unreadable) {
                throw new IllegalStateException(unreadable);
            } catch (IOException broken) {
                throw new UncheckedIOException(broken);
            }
        }
        List<Letter> letters = new ArrayList<>(byId.values());
        Collections.reverse(letters);
        return letters;
    }

    private static Letter letter(MimeMessage message) throws MessagingException, IOException {
        String[] stop = message.getHeader("List-Unsubscribe");
        return new Letter(
                message.getMessageID(),
                Arrays.toString(message.getAllRecipients()).replaceAll("[\\[\\]]", ""),
                message.getSubject(),
                text(message),
                stop == null ? "" : stop[0].replaceAll("[<>]", ""));
    }

    /** The plain part. */
    private static String text(Part part) throws MessagingException, IOException {
        if (part.isMimeType("text/plain")) {
            return String.valueOf(part.getContent());
        }
        if (part.getContent() instanceof Multipart parts) {
            for (int i = 0; i < parts.getCount(); i++) {
                BodyPart inner = parts.getBodyPart(i);
                String text = text(inner);
                if (!text.isEmpty()) {
                    return text;
                }
            }
        }
        return "";
    }

    @Override
    public void start() {
        if (port > 0) {
            GreenMail fresh = new GreenMail(new ServerSetup(port, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
            fresh.start();
            server = fresh;
        }
    }

    @Override
    public void stop() {
        GreenMail running = server;
        if (running != null) {
            running.stop();
            server = null;
        }
    }

    @Override
    public boolean isRunning() {
        return server != null;
    }
}
