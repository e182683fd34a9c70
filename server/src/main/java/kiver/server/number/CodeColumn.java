package kiver.server.number;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.function.Function;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;

/** A column in which codes of one kind stand. */
final class CodeColumn<T> extends BaseTypeHandler<T> {

    private final Function<String, T> read;
    private final Function<T, String> written;

    CodeColumn(Function<String, T> read, Function<T, String> written) {
        this.read = read;
        this.written = written;
    }

    @Override
    public void setNonNullParameter(PreparedStatement statement, int position, T value, JdbcType type)
            throws SQLException {
        statement.setString(position, written.apply(value));
    }

    @Override
    public T getNullableResult(ResultSet row, String column) throws SQLException {
        return present(row.getString(column));
    }

    @Override
    public T getNullableResult(ResultSet row, int column) throws SQLException {
        return present(row.getString(column));
    }

    @Override
    public T getNullableResult(CallableStatement statement, int column) throws SQLException {
        return present(statement.getString(column));
    }

    private T present(String code) {
        return code == null ? null : read.apply(code);
    }
}
