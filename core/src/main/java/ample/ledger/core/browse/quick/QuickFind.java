package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.browse.index.Vocabulary;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Reads one line of text as a brief: conditions where it can be, words of titles and descriptions for the rest. Never
 * fails: what cannot be understood is named.
 *
 * <p>At each place the {@link QuickReader longest stretch} that means something is taken. Built once for each edition, or each season of some; safe
 * for many threads.
 */
public final class QuickFind {

    /** A longer text is read up to here. */
    public static final int LONGEST = 300;

    private final List<TermIndex> indexes;
    private final Vocabulary vocabulary;
    private final QuickWords words;

    public QuickFind(TermIndex index) {
        this(List.of(index), index.vocabulary());
    }

    /**
     * Of the terms that are browsed together.
     *
     * @param vocabulary that of the same terms
     */
    public QuickFind(List<TermIndex> indexes, Vocabulary vocabulary) {
        this.indexes = List.copyOf(indexes);
        this.vocabulary = vocabulary;
        this.words = new QuickWords(vocabulary);
    }

    /**
     * A stretch of the text, and what it was taken for.
     *
     * @param start of its first letter, counted from 0
     * @param end after its last letter
     * @param topic of the condition that it became part of; empty where it was not understood
     */
    public record Piece(int start, int end, String text, Optional<Topic> topic) {}

    /**
     * What a line of text says.
     *
     * @param pieces in order; what only joins others, such as "and", belongs to none
     */
    public record Reading(String text, Brief brief, List<Piece> pieces) {

        public Reading {
            pieces = List.copyOf(pieces);
        }

        /** The stretches that mean nothing here. */
        public List<Piece> notUnderstood() {
            return pieces.stream().filter(piece -> piece.topic().isEmpty()).toList();
        }

        /** The text without one piece, to be read again when a student takes it back. */
        public String without(Piece piece) {
            String before = text.substring(0, piece.start()).stripTrailing();
            String after = text.substring(piece.end()).stripLeading();
            return (before + " " + after).strip();
        }
    }

    public Reading read(String text) {
        String line = text.length() > LONGEST ? text.substring(0, LONGEST) : text;
        List<QuickToken> tokens = QuickToken.of(line);
        QuickBrief brief = new QuickBrief();
        QuickReader reader = new QuickReader(words, vocabulary, tokens, brief);
        List<Piece> pieces = new ArrayList<>();
        int at = 0;
        while (at < tokens.size()) {
            Optional<QuickReader.Taken> taken = reader.takeAt(at);
            if (taken.isPresent()) {
                pieces.add(piece(
                        line,
                        tokens,
                        at,
                        taken.get().tokens(),
                        Optional.of(taken.get().topic())));
                at += taken.get().tokens();
            } else {
                String word = tokens.get(at).plain();
                boolean ofCourses = !QuickWords.COMMANDING.contains(word)
                        && indexes.stream().anyMatch(index -> index.mentionsWithTypo(word));
                if (!QuickWords.JOINING.contains(word)) {
                    if (ofCourses) {
                        brief.word(tokens.get(at).text());
                    }
                    pieces.add(piece(line, tokens, at, 1, ofCourses ? Optional.of(Topic.WORDS) : Optional.empty()));
                }
                at++;
            }
        }
        return new Reading(line, brief.brief(), pieces);
    }

    private static Piece piece(String line, List<QuickToken> tokens, int at, int count, Optional<Topic> topic) {
        int start = tokens.get(at).start();
        int end = tokens.get(at + count - 1).end();
        return new Piece(start, end, line.substring(start, end), topic);
    }

    /**
     * Something that the text may be going to say.
     *
     * @param label for people: "GLAC 240d Ice cores"
     * @param text the whole line with this at its end
     */
    public record Suggestion(Kind kind, String label, String text) {}

    /** What is suggested. */
    public enum Kind {
        SUBJECT,
        COURSE,
        PERSON,
        ENTRY_NUMBER
    }

    /** Subjects, courses, people and entry numbers that the end of {@code text} begins; at most {@code most} of them. */
    public List<Suggestion> suggest(String text, int most) {
        return words.suggest(text.length() > LONGEST ? text.substring(0, LONGEST) : text, most);
    }
}
