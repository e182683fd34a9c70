package kiver.server.number;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.function.LongFunction;
import java.util.function.ToLongFunction;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;

/** A column in which numbers of one kind stand. */
final class NumberColumn<T> extends BaseTypeHandler<T> {

    private final LongFunction<T> read;
    private final ToLongFunction<T> written;

    NumberColumn(LongFunction<T> read, ToLongFunction<T> written) {
        this.read = read;
        this.written = written;
    }

    @Override
    public void setNonNullParameter(PreparedStatement statement, int position, T value, JdbcType type)
            throws SQLException {
        statement.setLong(position, written.applyAsLong(value));
    }

    @Override
    public T getNullableResult(ResultSet row, String column) throws SQLException {
        return present(row.getLong(column), row.wasNull());
    }

    @Override
    public T getNullableResult(ResultSet row, int column) throws SQLException {
        return present(row.getLong(column), row.wasNull());
    }

    @Override
    public T getNullableResult(CallableStatement statement, int column) throws SQLException {
        return present(statement.getLong(column), statement.wasNull());
    }

    private T present(long number, boolean missing) {
        return missing ? null : read.apply(number);
    }
}
