package ample.ledger.web.lineup;

import ample.ledger.web.words.Strip;
import java.util.List;

/**
 * What stands on the line-up.
 *
 * @param say what must be said: sections that there are not, or too many
 * @param unlike rows in which the sections differ
 * @param alike rows in which they all say the same
 * @param clashes in sentences
 */
public record LineUpPage(
        String title,
        List<String> say,
        String back,
        Strip.Ground ground,
        List<Column> columns,
        List<Row> unlike,
        List<Same> alike,
        List<String> clashes) {

    /** One section. */
    public record Column(String entry, String name, String title, String sheet, String drop, Strip strip) {}

    /** One fact of every section, in the order of the columns. */
    public record Row(String label, List<String> cells) {}

    /** One fact that all share. */
    public record Same(String label, String text) {}
}
