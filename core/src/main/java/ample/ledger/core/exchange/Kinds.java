package ample.ledger.core.exchange;

import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Kind;
import ample.ledger.core.schedule.OwnKind;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** The kinds that sections, meetings and companions name: the institution's own, and those that every bundle knows. */
final class Kinds {

    private final Map<String, OwnKind> own;

    Kinds(RowsToAssemble rows) {
        own = rows.each("kinds", Kinds::ownKind).stream().collect(Collectors.toMap(OwnKind::code, Function.identity()));
    }

    /** The institution's own. */
    Map<String, OwnKind> own() {
        return Map.copyOf(own);
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
