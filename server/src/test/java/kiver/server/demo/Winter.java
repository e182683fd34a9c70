package kiver.server.demo;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import kiver.server.OwnDatabase;
import kiver.server.backup.ShippedWinter;

/** The demonstration's winter as it ships, brought once for all tests of a build and copied for each. */
public class Winter extends OwnDatabase {

    /** Browser tests copy it, too. */
    private static final String BROUGHT = "kiver_winter";

    @Override
    protected void create(Statement statement, String name) throws SQLException {
        // Whoever comes second waits for the first to have brought it.
        statement.execute("select pg_advisory_lock(4799)");
        if (!exists(statement, BROUGHT)) {
            ShippedWinter.bringTo(server() + BROUGHT, "kiver", password());
        }
        statement.execute("create database " + name + " template " + BROUGHT);
        statement.execute("select pg_advisory_unlock(4799)");
    }

    private static boolean exists(Statement statement, String name) throws SQLException {
        try (ResultSet found = statement.executeQuery("select 1 from pg_database where datname = '" + name + "'")) {
            return found.next();
        }
    }
}
