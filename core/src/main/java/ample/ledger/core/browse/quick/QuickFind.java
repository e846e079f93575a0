package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.browse.index.Vocabulary;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

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

    /** Of these one of several is asked for, beside those that are ticked. */
    private static final Set<Topic> EITHER = EnumSet.of(Topic.NUMBER, Topic.ENTRY, Topic.DAYS);

    private static final Set<Topic> COURSES = EnumSet.of(Topic.NUMBER, Topic.SUBJECT);

    private final List<TermIndex> indexes;
    private final Vocabulary vocabulary;
    private final QuickWords words;
    private final QuickSuggestions suggestions;

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
        this.suggestions = new QuickSuggestions(vocabulary);
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

        /** The text without some pieces, to be read again when a student takes them back. */
        public String without(List<Piece> some) {
            StringBuilder left = new StringBuilder();
            int at = 0;
            for (Piece piece : some) {
                left.append(text, at, piece.start());
                at = piece.end();
            }
            return left.append(text, at, text.length()).toString().strip().replaceAll("\\s+", " ");
        }
    }

    public Reading read(String text) {
        String line = text.length() > LONGEST ? text.substring(0, LONGEST) : text;
        List<QuickToken> tokens = QuickToken.of(line);
        QuickBrief brief = new QuickBrief();
        QuickReader reader = new QuickReader(words, vocabulary, tokens, brief, this::isMentioned);
        List<Read> reads = new ArrayList<>();
        int at = 0;
        while (at < tokens.size()) {
            int from = at;
            Optional<QuickReader.Taken> taken = reader.takeAt(at).or(() -> word(tokens, from, brief));
            if (taken.isPresent()) {
                reads.add(new Read(at, taken.get()));
            } else if (!QuickWords.JOINING.contains(tokens.get(at).plain())) {
                reads.add(new Read(at, new QuickReader.Taken(1, Optional.empty(), false)));
            }
            at += taken.map(QuickReader.Taken::tokens).orElse(1);
        }
        Brief made = brief.brief();
        List<Read> all = new ArrayList<>();
        for (Read read : reads) {
            if (!all.isEmpty()) {
                or(all.get(all.size() - 1), read, tokens).ifPresent(all::add);
            }
            all.add(read);
        }
        return new Reading(
                line,
                made,
                all.stream().map(read -> piece(line, tokens, read, brief)).toList());
    }

    /** A stretch from token {@code at} on, and what it was taken for. */
    private record Read(int at, QuickReader.Taken taken) {

        int end() {
            return at + taken.tokens();
        }
    }

    private boolean isMentioned(String word) {
        return indexes.stream().anyMatch(index -> index.mentions(word));
    }

    /** A word of the title or description of a course, or one that is denied: "not mathematics". */
    private Optional<QuickReader.Taken> word(List<QuickToken> tokens, int at, QuickBrief brief) {
        boolean not = QuickWords.DENYING.contains(tokens.get(at).plain());
        int next = at + (not ? 1 : 0);
        while (not
                && next < tokens.size()
                && QuickWords.JOINING.contains(tokens.get(next).plain())) {
            next++;
        }
        if (next == tokens.size() || !isOfCourses(tokens.get(next).plain())) {
            return Optional.empty();
        }
        brief.word(tokens.get(next).text(), not);
        return Optional.of(new QuickReader.Taken(next + 1 - at, Optional.of(Topic.WORDS), not));
    }

    private boolean isOfCourses(String word) {
        return !QuickWords.JOINING.contains(word)
                && !QuickWords.COMMANDING.contains(word)
                && indexes.stream().anyMatch(index -> index.mentionsWithTypo(word));
    }

    /** An "or" between two things of which a brief can ask only for both. It is not understood. */
    private static Optional<Read> or(Read before, Read read, List<QuickToken> tokens) {
        Optional<Topic> topic = before.taken().topic();
        boolean either = topic.equals(read.taken().topic())
                && topic.filter(same -> same.facet().isPresent() || EITHER.contains(same))
                        .isPresent();
        boolean known = topic.isPresent() && read.taken().topic().isPresent();
        if (either
                || !known
                || COURSES.containsAll(List.of(topic.get(), read.taken().topic().get()))) {
            return Optional.empty();
        }
        for (int at = before.end(); at < read.at(); at++) {
            if (tokens.get(at).plain().equals("or")) {
                return Optional.of(new Read(at, new QuickReader.Taken(1, Optional.empty(), false)));
            }
        }
        return Optional.empty();
    }

    private static Piece piece(String line, List<QuickToken> tokens, Read read, QuickBrief brief) {
        int start = tokens.get(read.at()).start();
        int end = tokens.get(read.end() - 1).end();
        Set<Topic> lost = read.taken().denied() ? brief.denialsLost() : brief.wishesLost();
        return new Piece(
                start, end, line.substring(start, end), read.taken().topic().filter(topic -> !lost.contains(topic)));
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
        return suggestions.suggest(text.length() > LONGEST ? text.substring(0, LONGEST) : text, most);
    }
}
