package ample.ledger.web.watch;

import ample.ledger.web.guest.LetterChoice.NoticeKind;
import java.util.Locale;

/** What a notice is about. */
enum Kind {
    CHANGES(NoticeKind.CHANGES),
    FITS(NoticeKind.CHANGES),
    SEATS(NoticeKind.SEATS),
    OFFER(NoticeKind.SEATS),
    ROUND(NoticeKind.SEATS),
    HOLD(NoticeKind.DATES),
    OPENING(NoticeKind.DATES),
    DEADLINE(NoticeKind.DATES);

    private final NoticeKind letters;

    Kind(NoticeKind letters) {
        this.letters = letters;
    }

    /** By which a student chooses whether it comes by letter. */
    NoticeKind letters() {
        return letters;
    }

    String code() {
        return name().toLowerCase(Locale.ROOT);
    }
}
