package elsom.web.platform;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.function.Function;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.jspecify.annotations.Nullable;

/** Stores a value type as text. */
abstract class TextHandler<T> extends BaseTypeHandler<T> {
    private final Function<String, T> read;
    private final Function<T, String> write;

    TextHandler(Function<String, T> read, Function<T, String> write) {
        this.read = read;
        this.write = write;
    }

    @Override
    public void setNonNullParameter(PreparedStatement statement, int index, T value, JdbcType type)
            throws SQLException {
        statement.setString(index, write.apply(value));
    }

    @Override
    public @Nullable T getNullableResult(ResultSet row, String column) throws SQLException {
        return of(row.getString(column));
    }

    @Override
    public @Nullable T getNullableResult(ResultSet row, int column) throws SQLException {
        return of(row.getString(column));
    }

    @Override
    public @Nullable T getNullableResult(CallableStatement call, int column) throws SQLException {
        return of(call.getString(column));
    }

    private @Nullable T of(@Nullable String text) {
        return text == null ? null : read.apply(text);
    }
}
