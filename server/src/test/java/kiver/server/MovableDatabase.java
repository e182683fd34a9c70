package kiver.server;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.concurrent.atomic.AtomicInteger;
import kiver.server.growth.SeasonService;
import kiver.server.kept.Revisions;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.ApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.core.Ordered;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.test.context.TestContext;
import org.springframework.test.context.TestExecutionListener;

/**
 * The database behind an application that serves several classes of tests, one after the other: each finds it as it was when the
 * application had started, so that none sees what another has done and starting is paid for once.
 */
public final class MovableDatabase extends DelegatingDataSource {

    private static final AtomicInteger NUMBER = new AtomicInteger();

    private String asStarted;

    private MovableDatabase(HikariDataSource first) {
        super(first);
    }

    /** Put into the application in the place of what it would have connected to. */
    public static final class Wrapping {

        @Bean
        static BeanPostProcessor movable() {
            return new BeanPostProcessor() {
                @Override
                public Object postProcessAfterInitialization(Object bean, String name) {
                    return bean instanceof HikariDataSource first ? new MovableDatabase(first) : bean;
                }
            };
        }
    }

    /** Before a class of tests: its first one finds the database in which the application has started, each later one a copy. */
    static final class ForEachClass implements TestExecutionListener, Ordered {

        @Override
        public void beforeTestClass(TestContext test) throws SQLException {
            moveOn(test.getApplicationContext());
        }

        @Override
        public int getOrder() {
            return Ordered.HIGHEST_PRECEDENCE;
        }
    }

    /** Lets an application go on with its database as it was when it had started: at first that itself, then a copy each time. */
    public static void moveOn(ApplicationContext application) throws SQLException {
        application.getBean(MovableDatabase.class).move();
        application.getBean(Revisions.class).replaced();
        // Some look back on a few years only, to be quick.
        application.getBean(SeasonService.class).lookBackOn(Integer.MAX_VALUE);
    }

    /** The address of the database that an application has now. */
    public static String addressOf(ApplicationContext application) {
        return ((HikariDataSource) application.getBean(MovableDatabase.class).getTargetDataSource()).getJdbcUrl();
    }

    private void move() throws SQLException {
        HikariDataSource present = (HikariDataSource) getTargetDataSource();
        HikariConfig config = new HikariConfig();
        present.copyStateTo(config);
        // A database can be copied while nobody is connected with it.
        present.close();
        String server = OwnDatabase.server();
        if (asStarted == null) {
            String first = present.getJdbcUrl().substring(server.length());
            asStarted = first + "_as_started";
            copy(first, asStarted);
        } else {
            String own = asStarted + "_" + NUMBER.incrementAndGet();
            copy(asStarted, own);
            config.setJdbcUrl(server + own);
        }
        setTargetDataSource(new HikariDataSource(config));
        try (Connection own = getConnection();
                Statement statement = own.createStatement()) {
            // Marks of what was read from another one must never be those of this one.
            statement.execute("insert into change_count (what, changes) values ('record', " + NUMBER.incrementAndGet()
                    + "000000)");
        }
    }

    private static void copy(String from, String to) throws SQLException {
        try (Connection connection = DriverManager.getConnection(
                        OwnDatabase.server() + "postgres", "kiver", OwnDatabase.password());
                Statement statement = connection.createStatement()) {
            statement.execute("create database " + to + " template " + from);
        }
    }
}
