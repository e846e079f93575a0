package ample.ledger.web.guest;

import ample.ledger.core.requirement.RecordLines;
import ample.ledger.core.requirement.StudentRecord;
import java.io.Serializable;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a student said of their record, as they typed it.
 *
 * @param courses one a line, as {@link RecordLines} reads them
 * @param credits earned; empty where nothing was said
 * @param level year of study; empty where nothing was said
 * @param placements one a line, by the names that the institution gives them
 */
public record KeptRecord(String courses, String credits, String level, String placements) implements Serializable {

    private static final long serialVersionUID = 1L;

    /** Nothing was said. */
    public static final KeptRecord NONE = new KeptRecord("", "", "", "");

    /** More than this of one answer is cut off: a session is no place for a book. */
    private static final int LONGEST = 8_000;

    public KeptRecord {
        courses = cut(courses);
        credits = cut(credits);
        level = cut(level);
        placements = cut(placements);
    }

    private static String cut(String text) {
        String stripped = text.strip();
        return stripped.length() > LONGEST ? stripped.substring(0, LONGEST) : stripped;
    }

    /** Whether anything was said. */
    public boolean said() {
        return !equals(NONE);
    }

    /** The record that it states; what cannot be read is passed over. */
    public StudentRecord read() {
        Set<String> names = placements
                .lines()
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .collect(Collectors.toSet());
        return new StudentRecord(
                RecordLines.read(courses).courses(),
                number(credits).map(BigDecimal::valueOf).orElse(BigDecimal.ZERO),
                number(level).filter(year -> year >= 1),
                names,
                Set.of());
    }

    private static Optional<Integer> number(String text) {
        return text.matches("[0-9]{1,3}") ? Optional.of(Integer.valueOf(text)) : Optional.empty();
    }
}
