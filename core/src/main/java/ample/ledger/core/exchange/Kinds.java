package ample.ledger.core.exchange;

import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Kind;
import ample.ledger.core.schedule.OwnKind;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The kinds that sections, meetings and companions name: the institution's own, and those that every bundle knows. */
final class Kinds {

    private final Map<String, OwnKind> own;

    Kinds(RowsToAssemble rows) {
        own = rows.byKey("kinds", row -> row.text("kind"), Kinds::ownKind);
    }

    /** The institution's own, in the order posted. */
    List<OwnKind> own() {
        return List.copyOf(own.values());
    }

    /** What a cell names; a row that names a faulty one is passed over, since that is reported there. */
    OwnKind named(BundleTable.Row row, String column) {
        String code = row.text(column);
        return Optional.ofNullable(own.get(code))
                .or(() -> Coded.parse(Kind.class, code).map(kind -> new OwnKind(code, kind.label(), kind)))
                .orElseThrow(RowsToAssemble::dependsOnFault);
    }

    /** What a companion is one of, in words: "lab". */
    String choice(BundleTable.Row row) {
        return named(row, "choice").name().toLowerCase(Locale.ROOT);
    }

    private static OwnKind ownKind(BundleTable.Row row) {
        Kind known = Coded.parse(Kind.class, row.text("stands_for")).orElseThrow();
        return new OwnKind(row.text("kind"), row.text("name"), known);
    }
}
