package ample.ledger.store;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Notices column by column, for one statement. */
record DraftRows(
        String[] owners,
        String[] keys,
        String[] kinds,
        String[] terms,
        String[] abouts,
        String[] contents,
        String[] madeAts,
        @Nullable String[] pasts,
        @Nullable String[] letters) {

    static DraftRows of(List<Notices.Draft> drafts) {
        return new DraftRows(
                column(drafts, Notices.Draft::owner),
                column(drafts, Notices.Draft::key),
                column(drafts, Notices.Draft::kind),
                column(drafts, Notices.Draft::term),
                column(drafts, Notices.Draft::about),
                column(drafts, Notices.Draft::content),
                column(drafts, draft -> draft.madeAt().toString()),
                moments(drafts, Notices.Draft::past),
                moments(drafts, Notices.Draft::letter));
    }

    private static String[] column(List<Notices.Draft> drafts, Function<Notices.Draft, String> of) {
        return drafts.stream().map(of).toArray(String[]::new);
    }

    private static @Nullable String[] moments(
            List<Notices.Draft> drafts, Function<Notices.Draft, Optional<Instant>> of) {
        @Nullable String[] column = new @Nullable String[drafts.size()];
        for (int i = 0; i < column.length; i++) {
            column[i] = of.apply(drafts.get(i)).map(Instant::toString).orElse(null);
        }
        return column;
    }
}
