package kiver.server.backup;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What a table is like, in the words of a table schema (Frictionless, version 1).
 *
 * @param fields its columns in their order
 * @param primaryKey columns that tell its rows apart; empty where it has no key
 * @param foreignKeys what it rests on
 * @param missingValues what stands for nothing
 */
record TableSchema(
        List<Field> fields, List<String> primaryKey, List<ForeignKey> foreignKeys, List<String> missingValues) {

    /** A column. */
    record Field(String name, String type) {}

    /** Columns that name a row of another table. */
    record ForeignKey(List<String> fields, Reference reference) {}

    /** The row that is named. */
    record Reference(String resource, List<String> fields) {}

    /** A table by its name. */
    record Table(String name, TableSchema schema) {

        String quoted() {
            return quote(name);
        }

        String quotedColumns() {
            return String.join(
                    ", ",
                    schema.fields().stream().map(field -> quote(field.name())).toList());
        }
    }

    private static final String TABLES = """
            select c.relname,
                   array(select a.attname || ':' || format_type(a.atttypid, null) from pg_attribute a
                         where a.attrelid = c.oid and a.attnum > 0 and not a.attisdropped and a.attgenerated = ''
                         order by a.attnum),
                   array(select a.attname::text from pg_index i, unnest(i.indkey) with ordinality as k (number, place), pg_attribute a
                         where i.indrelid = c.oid and i.indisprimary and a.attrelid = c.oid and a.attnum = k.number
                         order by k.place)
            from pg_class c
            where c.relkind = 'r' and c.relnamespace = 'public'::regnamespace
              and not starts_with(c.relname, ?) and c.relname <> 'flyway_schema_history'
            order by c.relname
            """;

    private static final String FOREIGN_KEYS = """
            select c.conrelid::regclass::text, c.confrelid::regclass::text,
                   array(select a.attname::text from unnest(c.conkey) with ordinality as k (number, place), pg_attribute a
                         where a.attrelid = c.conrelid and a.attnum = k.number order by k.place),
                   array(select a.attname::text from unnest(c.confkey) with ordinality as k (number, place), pg_attribute a
                         where a.attrelid = c.confrelid and a.attnum = k.number order by k.place)
            from pg_constraint c
            where c.contype = 'f' and c.connamespace = 'public'::regnamespace
            order by c.conname
            """;

    /** All tables of the nursery, each after those that it rests on. */
    static List<Table> tables(Connection connection) throws SQLException {
        Map<String, List<ForeignKey>> keys = foreignKeys(connection);
        SortedMap<String, Table> tables = new TreeMap<>();
        try (PreparedStatement query = connection.prepareStatement(TABLES)) {
            query.setString(1, Tally.SESSIONS);
            try (ResultSet found = query.executeQuery()) {
                while (found.next()) {
                    String name = found.getString(1);
                    List<Field> fields = names(found, 2).stream()
                            .map(each -> each.split(":", 2))
                            .map(each -> new Field(each[0], type(each[1])))
                            .toList();
                    tables.put(
                            name,
                            new Table(
                                    name,
                                    new TableSchema(
                                            fields, names(found, 3), keys.getOrDefault(name, List.of()), List.of(""))));
                }
            }
        }
        Set<Table> inOrder = new LinkedHashSet<>();
        for (Table table : tables.values()) {
            put(table, tables, inOrder, new LinkedHashSet<>());
        }
        return List.copyOf(inOrder);
    }

    private static void put(Table table, Map<String, Table> all, Set<Table> inOrder, Set<String> above) {
        if (!above.add(table.name())) {
            return;
        }
        for (ForeignKey key : table.schema().foreignKeys()) {
            Table under = all.get(key.reference().resource());
            if (under != null && !under.equals(table)) {
                put(under, all, inOrder, above);
            }
        }
        inOrder.add(table);
        above.remove(table.name());
    }

    private static Map<String, List<ForeignKey>> foreignKeys(Connection connection) throws SQLException {
        Map<String, List<ForeignKey>> keys = new TreeMap<>();
        try (Statement query = connection.createStatement();
                ResultSet found = query.executeQuery(FOREIGN_KEYS)) {
            while (found.next()) {
                keys.computeIfAbsent(found.getString(1), ignored -> new ArrayList<>())
                        .add(new ForeignKey(names(found, 3), new Reference(found.getString(2), names(found, 4))));
            }
        }
        return keys;
    }

    /** The last number given out by each sequence that has given any. */
    static Map<String, Long> sequences(Connection connection) throws SQLException {
        Map<String, Long> last = new TreeMap<>();
        try (Statement query = connection.createStatement();
                ResultSet found = query.executeQuery(
                        "select sequencename, last_value from pg_sequences where schemaname = 'public' and last_value is not null")) {
            while (found.next()) {
                last.put(found.getString(1), found.getLong(2));
            }
        }
        return last;
    }

    /** Lets each sequence go on where it stood. */
    static void set(Connection connection, Map<String, Long> sequences) throws SQLException {
        try (PreparedStatement set =
                connection.prepareStatement("select setval(format('public.%I', ?::text)::regclass, ?)")) {
            for (Map.Entry<String, Long> each : sequences.entrySet()) {
                set.setString(1, each.getKey());
                set.setLong(2, each.getValue());
                set.execute();
            }
        }
    }

    private static String type(String database) {
        return switch (database) {
            case "smallint", "integer", "bigint" -> "integer";
            case "real", "double precision", "numeric" -> "number";
            case "boolean" -> "boolean";
            case "date" -> "date";
            case "json", "jsonb" -> "object";
            default -> "string";
        };
    }

    private static List<String> names(ResultSet found, int column) throws SQLException {
        return Arrays.stream((Object[]) found.getArray(column).getArray())
                .map(String::valueOf)
                .toList();
    }

    private static String quote(String name) {
        return '"' + name.replace("\"", "\"\"") + '"';
    }
}
