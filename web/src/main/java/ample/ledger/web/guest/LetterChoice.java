package ample.ledger.web.guest;

import java.util.Map;

/** Which notices a student wants to have by letter, and how soon. */
public record LetterChoice(Map<NoticeKind, Pace> paces) {

    /** How soon a letter comes. */
    public enum Pace {
        AT_ONCE,
        DAILY,
        NEVER
    }

    /** What a notice is about, as one chooses by it. */
    public enum NoticeKind {
        /** Seats that open, and offers. */
        SEATS(Pace.AT_ONCE),
        /** What a new edition changes. */
        CHANGES(Pace.DAILY),
        /** Openings, deadlines and holds. */
        DATES(Pace.DAILY);

        private final Pace usual;

        NoticeKind(Pace usual) {
            this.usual = usual;
        }
    }

    /** What is usual until a student chooses. */
    public static final LetterChoice USUAL = new LetterChoice(Map.of());

    /** No letters at all. */
    public static final LetterChoice NONE = new LetterChoice(
            Map.of(NoticeKind.SEATS, Pace.NEVER, NoticeKind.CHANGES, Pace.NEVER, NoticeKind.DATES, Pace.NEVER));

    public LetterChoice {
        paces = Map.copyOf(paces);
    }

    public Pace pace(NoticeKind kind) {
        return paces.getOrDefault(kind, kind.usual);
    }
}
