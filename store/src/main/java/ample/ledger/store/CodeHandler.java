package ample.ledger.store;

import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.TermCode;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.function.Function;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.jspecify.annotations.Nullable;

/** Keeps a code as the text that it is. */
abstract class CodeHandler<T> extends BaseTypeHandler<T> {

    private final Function<T, String> write;
    private final Function<String, T> read;

    private CodeHandler(Function<T, String> write, Function<String, T> read) {
        this.write = write;
        this.read = read;
    }

    /** Of terms. */
    static final class OfTerms extends CodeHandler<TermCode> {
        OfTerms() {
            super(TermCode::text, TermCode::new);
        }
    }

    /** Of seasons. */
    static final class OfSeasons extends CodeHandler<SeasonCode> {
        OfSeasons() {
            super(SeasonCode::text, SeasonCode::new);
        }
    }

    @Override
    public void setNonNullParameter(PreparedStatement statement, int at, T code, @Nullable JdbcType type)
            throws SQLException {
        statement.setString(at, write.apply(code));
    }

    @Override
    public @Nullable T getNullableResult(ResultSet row, String column) throws SQLException {
        return read(row.getString(column));
    }

    @Override
    public @Nullable T getNullableResult(ResultSet row, int column) throws SQLException {
        return read(row.getString(column));
    }

    @Override
    public @Nullable T getNullableResult(CallableStatement call, int column) throws SQLException {
        return read(call.getString(column));
    }

    private @Nullable T read(@Nullable String text) {
        return text == null ? null : read.apply(text);
    }
}
