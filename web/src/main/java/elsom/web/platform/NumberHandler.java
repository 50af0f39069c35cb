package elsom.web.platform;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.function.LongFunction;
import java.util.function.ToLongFunction;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.jspecify.annotations.Nullable;

/** Stores a value type as a whole number. */
abstract class NumberHandler<T> extends BaseTypeHandler<T> {
    private final LongFunction<T> read;
    private final ToLongFunction<T> write;

    NumberHandler(LongFunction<T> read, ToLongFunction<T> write) {
        this.read = read;
        this.write = write;
    }

    @Override
    public void setNonNullParameter(PreparedStatement statement, int index, T value, JdbcType type)
            throws SQLException {
        statement.setLong(index, write.applyAsLong(value));
    }

    @Override
    public @Nullable T getNullableResult(ResultSet row, String column) throws SQLException {
        long number = row.getLong(column);
        return row.wasNull() ? null : read.apply(number);
    }

    @Override
    public @Nullable T getNullableResult(ResultSet row, int column) throws SQLException {
        long number = row.getLong(column);
        return row.wasNull() ? null : read.apply(number);
    }

    @Override
    public @Nullable T getNullableResult(CallableStatement call, int column) throws SQLException {
        long number = call.getLong(column);
        return call.wasNull() ? null : read.apply(number);
    }
}
