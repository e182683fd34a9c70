package kiver.server.limit;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.stereotype.Component;

/**
 * Keeps a second instance off a database: what is kept in memory would grow stale beside another's changes. The lock
 * lives as long as its connection; when that breaks, it is taken again.
 */
@Component
public class OneInstance implements InitializingBean, DisposableBean {

    private static final long LOCK = 4710;
    private static final long LOOK_EVERY = 5_000;
    private static final int SECONDS_TO_ANSWER = 3;
    private static final int TRIES = 20;
    private static final Logger LOG = LoggerFactory.getLogger(OneInstance.class);

    private final DataSource own;
    private volatile Connection held;
    private volatile boolean over;

    OneInstance(DataSourceProperties properties) {
        own = properties.initializeDataSourceBuilder().type(org.postgresql.ds.PGSimpleDataSource.class).build();
    }

    @Override
    public void afterPropertiesSet() throws SQLException, InterruptedException {
        // One that was killed a moment ago may still be seen by the database.
        for (int tries = 0; !take(); tries++) {
            if (tries == TRIES) {
                throw new IllegalStateException(
                        "Another Kiver runs on this database already. Stop it first; two at once would not see each other's changes.");
            }
            Thread.sleep(LOOK_EVERY / 20);
        }
        Thread watch = new Thread(this::watch, "one-instance");
        watch.setDaemon(true);
        watch.start();
    }

    private synchronized boolean take() throws SQLException {
        Connection connection = own.getConnection();
        try (Statement statement = connection.createStatement();
                ResultSet answer = statement.executeQuery("select pg_try_advisory_lock(" + LOCK + ")")) {
            answer.next();
            if (answer.getBoolean(1)) {
                held = connection;
                return true;
            }
        }
        connection.close();
        return false;
    }

    private void watch() {
        while (!over) {
            try {
                Thread.sleep(LOOK_EVERY);
                if (!over && !held.isValid(SECONDS_TO_ANSWER) && !take()) {
                    LOG.error("Another Kiver has taken this database over; this one stops.");
                    Runtime.getRuntime().halt(1);
                }
            } catch (SQLException away) {
                LOG.debug("The database does not answer; looking again", away);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                return;
            }
        }
    }

    @Override
    public void destroy() throws SQLException {
        over = true;
        if (held != null) {
            held.close();
        }
    }
}
