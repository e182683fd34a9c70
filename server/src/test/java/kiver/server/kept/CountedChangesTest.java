package kiver.server.kept;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import kiver.server.ServerTest;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Two that change the same table at once are both counted, neither waits, and rows do not grow with changes. */
@ServerTest
class CountedChangesTest {

    private static final String CHANGE = "update grower set name = name where false";

    @Autowired
    DataSource database;

    @Test
    void neitherWaitsForTheOtherAndBothAreSeen() throws SQLException {
        counted(CHANGE);
        String before = mark();
        try (Connection one = open();
                Connection other = open()) {
            execute(one, CHANGE);
            // Had it to wait for the first, it would be refused.
            execute(other, CHANGE);
            assertThat(mark()).as("nobody sees what is not committed").isEqualTo(before);
            other.commit();
            String withTheOther = mark();
            assertThat(withTheOther).isNotEqualTo(before);
            one.commit();
            assertThat(mark()).isNotIn(before, withTheOther);
        }
    }

    @Test
    void whatIsRolledBackIsNotCounted() throws SQLException {
        counted(CHANGE);
        String before = mark();
        try (Connection one = open()) {
            execute(one, CHANGE);
            one.rollback();
        }
        assertThat(mark()).isEqualTo(before);
    }

    @Test
    void oneAfterTheOtherTheyShareARow() throws SQLException {
        counted(CHANGE);
        String first = mark();
        for (int change = 0; change < 20; change++) {
            counted(CHANGE);
        }
        assertThat(mark().split(" ")).hasSameSizeAs(first.split(" "));
        assertThat(mark()).isNotEqualTo(first);
    }

    private String mark() throws SQLException {
        try (Connection reading = database.getConnection();
                Statement statement = reading.createStatement();
                ResultSet found = statement.executeQuery(
                        "select string_agg(slot || ':' || changes, ' ' order by slot) from change_count where what = 'record'")) {
            found.next();
            return found.getString(1);
        }
    }

    private void counted(String change) throws SQLException {
        try (Connection one = open()) {
            execute(one, change);
            one.commit();
        }
    }

    private Connection open() throws SQLException {
        Connection connection = database.getConnection();
        connection.setAutoCommit(false);
        execute(connection, "set local lock_timeout = '2s'");
        return connection;
    }

    private static void execute(Connection connection, String statement) throws SQLException {
        try (Statement each = connection.createStatement()) {
            each.execute(statement);
        }
    }
}
