package ample.ledger.core.requirement;

import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Prerequisite.AtLeast;
import ample.ledger.core.schedule.Prerequisite.CreditsEarned;
import ample.ledger.core.schedule.Prerequisite.Passed;
import ample.ledger.core.schedule.Prerequisite.Permission;
import ample.ledger.core.schedule.Prerequisite.Placement;
import ample.ledger.core.schedule.Prerequisite.Standing;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads prerequisites as registrars write them down for a program:
 *
 * <pre>
 * expression = conjunction { "or" conjunction }
 * conjunction = term { "and" term }
 * term       = "(" expression ")" | choice | course | placement | standing | credits | permission
 * choice     = ( "all" | "one" | number ) "of" "(" expression { "," expression } ")"
 * course     = subject number [ "with" grade ] [ "alongside" ]
 * placement  = "placement" quoted
 * standing   = "standing" number
 * credits    = "credits" number
 * permission = "permission" quoted
 * </pre>
 *
 * <p>As in {@code (GLAC 120 with C or LIMN 130 with C) and (TIDE 110 or placement "Tide test")}. Words of the notation may be
 * in any case. A recursive-descent parser, one function a rule (after Wirth 1976); cost: linear in the text.
 */
public final class PrerequisiteNotation {

    private static final int DEEPEST = 40;
    private static final Pattern TOKEN = Pattern.compile("\"[^\"]*\"|[(),]|[^\\s(),\"]+|\"");
    private static final Pattern NUMBER = Pattern.compile("[0-9]{1,4}");
    private static final Pattern SUBJECT = Pattern.compile("[\\p{Lu}\\p{Lt}\\p{Lo}\\p{M}\\p{N}]{1,12}");
    private static final Pattern COURSE_NUMBER = Pattern.compile("[0-9]{1,6}(?:\\.[0-9]{1,4}){0,3}\\p{L}{0,4}");
    private static final Pattern GRADE = Pattern.compile("[\\p{L}\\p{N}][\\p{L}\\p{N}./]{0,9}[+-]?");

    private record Token(String text, int at) {}

    private final String text;
    private final List<Token> tokens = new ArrayList<>();
    private int next;
    private int depth;

    private PrerequisiteNotation(String text) {
        this.text = text;
        Matcher matcher = TOKEN.matcher(text);
        while (matcher.find()) {
            tokens.add(new Token(matcher.group(), matcher.start()));
        }
    }

    /**
     * The prerequisite that {@code text} states.
     *
     * @throws NotationException saying what is wrong, where, and what would be right
     */
    public static Prerequisite parse(String text) {
        PrerequisiteNotation notation = new PrerequisiteNotation(text);
        Prerequisite prerequisite = notation.expression();
        if (notation.next < notation.tokens.size()) {
            throw notation.unexpected("\"and\", \"or\" or the end");
        }
        return prerequisite;
    }

    private Prerequisite expression() {
        if (++depth > DEEPEST) {
            throw new NotationException(at(), "Brackets are nested more than " + DEEPEST + " deep.");
        }
        List<Prerequisite> parts = new ArrayList<>(List.of(conjunction()));
        while (takeWord("or")) {
            parts.add(conjunction());
        }
        depth--;
        return parts.size() == 1 ? parts.get(0) : new AtLeast(1, parts);
    }

    private Prerequisite conjunction() {
        List<Prerequisite> parts = new ArrayList<>(List.of(term()));
        while (takeWord("and")) {
            parts.add(term());
        }
        return parts.size() == 1 ? parts.get(0) : new AtLeast(parts.size(), parts);
    }

    private Prerequisite term() {
        if (takeWord("(")) {
            Prerequisite inner = expression();
            need(")");
            return inner;
        }
        if (isWord(next + 1, "of")) {
            return choice();
        }
        if (takeWord("placement")) {
            return new Placement(quoted("placement \"Number test, band 3\""));
        }
        if (takeWord("permission")) {
            return new Permission(quoted("permission \"the department\""));
        }
        if (takeWord("standing")) {
            return new Standing(number("standing 2"));
        }
        if (takeWord("credits")) {
            return new CreditsEarned(number("credits 30"));
        }
        return course();
    }

    private Prerequisite choice() {
        Token count = tokens.get(next);
        boolean all = isWord(next, "all");
        boolean one = isWord(next, "one");
        if (!all && !one && !NUMBER.matcher(count.text()).matches()) {
            throw unexpected("\"all\", \"one\" or a number before \"of\"");
        }
        next += 2;
        need("(");
        List<Prerequisite> parts = new ArrayList<>(List.of(expression()));
        while (takeWord(",")) {
            parts.add(expression());
        }
        need(")");
        int wanted = all ? parts.size() : one ? 1 : Integer.parseInt(count.text());
        if (parts.size() < 2) {
            throw new NotationException(count.at(), "A choice needs at least two parts, with commas between.");
        }
        if (wanted < 1 || wanted > parts.size()) {
            throw new NotationException(
                    count.at(), "It asks for %d of %d; write a number from 1 to %2$d.".formatted(wanted, parts.size()));
        }
        return new AtLeast(wanted, parts);
    }

    private Prerequisite course() {
        String subject = take(
                SUBJECT,
                "a course, which is a subject and a number, \"(\", placement, standing, credits or permission");
        String number = take(COURSE_NUMBER, "the number of the course, behind its subject and a blank");
        Optional<String> grade = takeWord("with") ? Optional.of(take(GRADE, "a grade")) : Optional.empty();
        return new Passed(new CourseCode(subject, number), grade, takeWord("alongside"));
    }

    private int number(String example) {
        int at = at();
        int number = Integer.parseInt(take(NUMBER, "a number, as in " + example));
        if (number < 1) {
            throw new NotationException(at, "The number must be at least 1, as in " + example + ".");
        }
        return number;
    }

    private String quoted(String example) {
        String token = take(Pattern.compile("\"[^\"]*\\S[^\"]*\""), "words in quotation marks, as in " + example);
        return token.substring(1, token.length() - 1).strip();
    }

    private String take(Pattern form, String wanted) {
        if (next >= tokens.size() || !form.matcher(tokens.get(next).text()).matches()) {
            throw unexpected(wanted);
        }
        return tokens.get(next++).text();
    }

    private void need(String word) {
        if (!takeWord(word)) {
            throw unexpected("\"" + word + "\"");
        }
    }

    private boolean takeWord(String word) {
        boolean there = isWord(next, word);
        next += there ? 1 : 0;
        return there;
    }

    private boolean isWord(int token, String word) {
        return token < tokens.size()
                && tokens.get(token).text().toLowerCase(Locale.ROOT).equals(word);
    }

    private int at() {
        return next < tokens.size() ? tokens.get(next).at() : text.length();
    }

    private NotationException unexpected(String wanted) {
        String found = next < tokens.size() ? "“" + tokens.get(next).text() + "”" : "the end";
        return new NotationException(at(), "Here is " + found + " where " + wanted + " should be.");
    }
}
