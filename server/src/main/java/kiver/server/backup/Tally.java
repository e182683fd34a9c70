package kiver.server.backup;

import java.math.BigInteger;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What a table holds, told so that two copies can be compared without laying them side by side.
 *
 * @param rows how many
 * @param digest the sum of 60 bits of each row's MD5, so that the order of rows does not matter
 */
record Tally(long rows, BigInteger digest) {

    /** The sign-ins of browsers are nothing of the nursery's, and must not come back from an old copy. */
    static final String SESSIONS = "spring_session";

    /** A query per table, built by the database itself, which quotes the names. */
    private static final String EVERY_TABLE = """
            select name, (xpath('/row/rows/text()', tally))[1]::text, (xpath('/row/digest/text()', tally))[1]::text
            from (
                select relname as name, query_to_xml(format(
                    'select count(*) as rows, coalesce(sum((''x'' || substr(md5(t::text), 1, 15))::bit(60)::bigint::numeric), 0)
                     as digest from public.%I t', relname), false, true, '') as tally
                from pg_class
                where relkind = 'r' and relnamespace = 'public'::regnamespace and not starts_with(relname, ?)
            ) as tallied
            order by name
            """;

    /** All tables of the nursery by name, as the connection's transaction sees them. */
    static SortedMap<String, Tally> ofAllTables(Connection connection) throws SQLException {
        SortedMap<String, Tally> tallies = new TreeMap<>();
        try (PreparedStatement query = connection.prepareStatement(EVERY_TABLE)) {
            query.setString(1, SESSIONS);
            try (ResultSet tables = query.executeQuery()) {
                while (tables.next()) {
                    tallies.put(tables.getString(1), new Tally(tables.getLong(2), new BigInteger(tables.getString(3))));
                }
            }
        }
        return tallies;
    }
}
