package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.RecordComponent;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javax.sql.DataSource;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.session.SqlSessionFactory;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Rows become records by the order of their columns, which is quick and blind; so the names are compared here, once. */
@ServerTest
class QueriesTest {

    /** Stands for whatever a query written with conditions asks about its parameters. */
    private static final Map<String, Object> ANYTHING = new HashMap<>() {
        @Override
        public Object get(Object key) {
            return List.of(1);
        }

        @Override
        public boolean containsKey(Object key) {
            return true;
        }
    };

    @Autowired
    SqlSessionFactory sessions;

    @Autowired
    DataSource database;

    @Test
    void everyQueryNamesItsColumnsInTheOrderOfItsRecord() throws SQLException {
        List<String> faults = new ArrayList<>();
        int compared = 0;
        try (Connection connection = database.getConnection()) {
            for (Object each : sessions.getConfiguration().getMappedStatements()) {
                if (!(each instanceof MappedStatement statement)
                        || statement.getResultMaps().isEmpty()) {
                    continue;
                }
                Class<?> type = statement.getResultMaps().get(0).getType();
                boolean byName = !statement
                        .getResultMaps()
                        .get(0)
                        .getConstructorResultMappings()
                        .isEmpty();
                boolean oneColumn =
                        sessions.getConfiguration().getTypeHandlerRegistry().hasTypeHandler(type);
                if (!type.isRecord() || byName || oneColumn) {
                    continue;
                }
                compared++;
                List<String> names = Arrays.stream(type.getRecordComponents())
                        .map(RecordComponent::getName)
                        .toList();
                List<String> columns = columns(connection, statement);
                if (!columns.equals(names)) {
                    faults.add(statement.getId() + "\n  columns " + columns + "\n  record  " + names);
                }
            }
        }
        assertThat(faults).isEmpty();
        assertThat(compared).isGreaterThan(30);
    }

    private static List<String> columns(Connection connection, MappedStatement statement) throws SQLException {
        String sql = statement.getBoundSql(ANYTHING).getSql();
        try (PreparedStatement prepared = connection.prepareStatement(sql)) {
            ResultSetMetaData columns = prepared.getMetaData();
            List<String> names = new ArrayList<>();
            for (int column = 1; column <= columns.getColumnCount(); column++) {
                names.add(camelCase(columns.getColumnLabel(column)));
            }
            return names;
        }
    }

    private static String camelCase(String column) {
        StringBuilder name = new StringBuilder();
        for (String word : column.split("_")) {
            name.append(name.isEmpty() ? word : word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1));
        }
        return name.toString();
    }
}
