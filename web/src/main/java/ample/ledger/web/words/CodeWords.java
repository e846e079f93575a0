package ample.ledger.web.words;

import ample.ledger.core.code.CodeKey;
import ample.ledger.core.schedule.Section;
import java.util.List;
import java.util.stream.Collectors;

/** A code in a line of words, as the institution's key explains it. */
public final class CodeWords {

    private CodeWords() {}

    /**
     * "F Upper Fell campus, 3 third section here, e evening"; what the key does not explain is said.
     *
     * @param sort of code, as the key calls it: "course", "section"
     */
    public static String of(CodeKey key, String sort, String code) {
        return key.takeApart(sort, code).stream()
                .filter(part -> !part.punctuation())
                .map(part -> part.text() + " " + part.meaning().orElse("not in the code key"))
                .collect(Collectors.joining(", "));
    }

    /** The codes of a section and of its course. */
    public static String ofSection(CodeKey key, Section section) {
        return of(key, "course", section.course().written()) + "; " + of(key, "section", section.code());
    }

    /** The same part by part, to be shown in large. */
    public static List<Part> parts(CodeKey key, String sort, String code) {
        return key.takeApart(sort, code).stream()
                .filter(part -> !part.punctuation())
                .map(part -> new Part(
                        part.text(),
                        part.meaning().orElse("the code key does not explain this"),
                        part.segment().orElse("not in the key"),
                        part.explained()))
                .toList();
    }

    /**
     * One part of a code.
     *
     * @param says what it means; for a part that the key does not explain, that it does not
     * @param tells what the part is: "level"
     */
    public record Part(String text, String says, String tells, boolean explained) {}
}
