package ample.ledger.web.watch;

import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.Letters;
import ample.ledger.store.Letters.Letter;
import ample.ledger.store.Letters.Outcome;
import ample.ledger.store.Notices.Notice;
import ample.ledger.store.PrivateAddresses;
import ample.ledger.store.PrivateAddresses.Purpose;
import ample.ledger.web.guest.Secrets;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.time.Clock;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.eclipse.angus.mail.smtp.SMTPAddressFailedException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.mail.MailException;
import org.springframework.mail.MailSendException;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.stereotype.Component;

/** Gathers notices into letters and hands them to the mail server, in a thread of its own: a slow mail server keeps nothing else waiting. */
@Component
@ConditionalOnWebApplication
@ConditionalOnProperty("spring.mail.host")
class Postman extends Rounds {

    private static final Logger LOG = LoggerFactory.getLogger(Postman.class);
    private static final long PAUSE = 1_000;
    private static final int FOR_GOOD = 500;

    private final Letters letters;
    private final JavaMailSender mail;
    private final Students students;
    private final Terms terms;
    private final Places places;
    private final PrivateAddresses addresses;
    private final LetterSettings settings;
    private final Clock clock;

    Postman(
            Letters letters,
            JavaMailSender mail,
            Students students,
            Terms terms,
            Places places,
            PrivateAddresses addresses,
            LetterSettings settings,
            Clock clock) {
        super("postman", PAUSE);
        this.letters = letters;
        this.mail = mail;
        this.students = students;
        this.terms = terms;
        this.places = places;
        this.addresses = addresses;
        this.settings = settings;
        this.clock = clock;
    }

    @Override
    void round() {
        boolean more;
        do {
            more = letters.gather(UUID.randomUUID().toString(), clock.instant());
        } while (more && isRunning());
        do {
            more = letters.post(this::post);
        } while (more && isRunning());
    }

    private Outcome post(Letter letter) {
        Visit visit = Objects.requireNonNull(
                students.visits(List.of(letter.owner()), places.schedules()).get(letter.owner()));
        if (visit.registrar().file().isEmpty()) {
            // The institution has not said yet where letters reach the student.
            return Outcome.LATER;
        }
        List<NoticeContent> contents = letter.notices().stream()
                .filter(notice -> isWorthTelling(notice, visit))
                .map(notice -> NoticeContent.read(notice.content()))
                .toList();
        Optional<String> address = visit.registrar().file().flatMap(StudentFile::email);
        if (contents.isEmpty() || address.isEmpty()) {
            return Outcome.NEEDLESS;
        }
        try {
            mail.send(message(letter, address.get(), contents));
            return Outcome.SENT;
        } catch (MailException failed) {
            boolean refused = isRefused(failed);
            LOG.warn(
                    "A letter {}: {}",
                    refused ? "was refused" : "could not be sent yet",
                    failed.getClass().getName());
            return refused ? Outcome.REFUSED : Outcome.LATER;
        } catch (MessagingException broken) {
            LOG.warn("A letter could not be written: {}", broken.toString());
            return Outcome.REFUSED;
        }
    }

    /** Not what is past, what was seen on the page, and what was taken back: a seat that is gone again, an offer that was taken up. */
    private boolean isWorthTelling(Notice notice, Visit visit) {
        boolean past =
                notice.past().filter(end -> !end.isAfter(visit.instant())).isPresent();
        if (past || notice.isSeen()) {
            return false;
        }
        if (notice.kind().equals(Kind.SEATS.code())) {
            return terms.all().stream()
                    .filter(posted -> posted.edition().term().equals(new TermCode(notice.term())))
                    .anyMatch(posted -> hasSeats(notice, posted, visit));
        }
        return !notice.kind().equals(Kind.OFFER.code())
                || visit.registration()
                        .filter(has -> has.isRegistered(new Entry(notice.term(), notice.about())))
                        .isEmpty();
    }

    private static boolean hasSeats(Notice notice, PostedTerm posted, Visit visit) {
        return EntryNumber.parse(notice.about())
                .flatMap(posted.schedule()::section)
                .filter(section -> visit.reading(posted, section).open() > 0)
                .isPresent();
    }

    /** Whether the mail server will never take a letter to this address: it answered 5yz, which is for good (RFC 5321, 4.2.1). */
    static boolean isRefused(MailException failed) {
        return failed instanceof MailSendException send
                && send.getFailedMessages().values().stream()
                        .flatMap(Postman::causes)
                        .anyMatch(cause -> cause instanceof SMTPAddressFailedException address
                                && address.getReturnCode() >= FOR_GOOD);
    }

    private static Stream<Exception> causes(Exception failed) {
        return Stream.iterate(
                failed,
                Objects::nonNull,
                cause -> cause instanceof MessagingException message ? message.getNextException() : null);
    }

    private MimeMessage message(Letter letter, String address, List<NoticeContent> contents) throws MessagingException {
        String stop = settings.root() + "/letters/stop/" + addresses.make(letter.owner(), Purpose.STOP, Secrets.next());
        LetterWords words = new LetterWords(settings.root(), stop);
        MimeMessage message = new NamedMessage(letter.id());
        MimeMessageHelper helper = new MimeMessageHelper(message, true, "UTF-8");
        helper.setFrom(settings.from());
        helper.setTo(address);
        helper.setSubject(words.subject(contents));
        helper.setText(words.text(contents), words.html(contents));
        // One click stops them: RFC 8058.
        message.setHeader("List-Unsubscribe", "<" + stop + ">");
        message.setHeader("List-Unsubscribe-Post", "List-Unsubscribe=One-Click");
        message.setHeader("Auto-Submitted", "auto-generated");
        return message;
    }

    /** The same letter has the same name, however often it is handed over. */
    private static final class NamedMessage extends MimeMessage {

        private final String id;

        NamedMessage(String id) {
            super((jakarta.mail.Session) null);
            this.id = id;
        }

        @Override
        protected void updateMessageID() throws MessagingException {
            setHeader("Message-ID", "<" + id + "@ledger.letters>");
        }
    }
}
