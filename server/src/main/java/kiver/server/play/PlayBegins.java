package kiver.server.play;

import java.io.IOException;
import java.time.LocalDate;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Update;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Profile;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes a fresh copy one person's own: nobody else can sign in, and its days pass by hand. Ends with the
 * application that began it, whose hand on the other end of the standard input lets go then, however it ends.
 */
@Component
@Profile("play")
@Order(Ordered.HIGHEST_PRECEDENCE)
class PlayBegins implements ApplicationRunner {

    /** Before the port at which the copy is reached, on a line of its own. */
    static final String REACHED_AT = "kiver play reached at ";

    private static final Logger LOG = LoggerFactory.getLogger(PlayBegins.class);

    private final CopyMapper mapper;
    private final TransactionTemplate transaction;
    private final long account;
    private final LocalDate today;
    private final boolean held;

    PlayBegins(
            CopyMapper mapper,
            TransactionTemplate transaction,
            @Value("${kiver.play.account}") long account,
            @Value("${kiver.play.today}") String today,
            @Value("${kiver.play.held:false}") boolean held) {
        this.held = held;
        this.mapper = mapper;
        this.transaction = transaction;
        this.account = account;
        this.today = LocalDate.parse(today);
    }

    @Override
    public void run(ApplicationArguments arguments) {
        transaction.executeWithoutResult(status -> {
            mapper.endAllBut(account, today.minusDays(1));
            mapper.withdrawDevices(today);
            mapper.forgetCalendars();
            mapper.goByHand();
        });
    }

    @EventListener
    void isReady(ApplicationReadyEvent event) {
        ConfigurableApplicationContext context = event.getApplicationContext();
        if (!held) {
            return;
        }
        // Read by the application that began this one, so it must not go through a log.
        System.out.println(REACHED_AT + context.getEnvironment().getProperty("local.server.port"));
        Thread holding = new Thread(() -> endWhenLetGo(context), "held by what began it");
        holding.setDaemon(true);
        holding.start();
    }

    private static void endWhenLetGo(ConfigurableApplicationContext context) {
        try {
            while (System.in.read() >= 0) {
                // Nothing is ever said.
            }
        } catch (IOException gone) {
            LOG.info("What began this play is gone", gone);
        }
        System.exit(SpringApplication.exit(context));
    }

    /** The copy of the nursery's tables. */
    @Mapper
    interface CopyMapper {

        @Update("update account set ends_on = #{last} where id <> #{account}")
        void endAllBut(@Param("account") long account, @Param("last") LocalDate last);

        /** They go on sending to the nursery itself, and would be called silent here. */
        @Update("update device set withdrawn_on = #{today} where withdrawn_on is null")
        void withdrawDevices(@Param("today") LocalDate today);

        /** Their addresses are known to others. */
        @Delete("delete from calendar_feed")
        void forgetCalendars();

        @Update("update nursery set demo = false, demo_today = null where demo")
        void goByHand();
    }
}
