package ample.ledger.standin.submission;

import ample.ledger.standin.submission.JournalMapper.SubmissionRow;
import java.util.List;
import java.util.function.Function;

/** What was asked and answered, column by column. */
final class SubmissionRows {

    private final List<SubmissionRow> rows;

    SubmissionRows(List<SubmissionRow> rows) {
        this.rows = rows;
    }

    public String[] getStudents() {
        return column(SubmissionRow::student);
    }

    public String[] getIds() {
        return column(SubmissionRow::id);
    }

    public String[] getAsked() {
        return column(SubmissionRow::asked);
    }

    public String[] getAnswered() {
        return column(SubmissionRow::answered);
    }

    private String[] column(Function<SubmissionRow, String> value) {
        return rows.stream().map(value).toArray(String[]::new);
    }
}
