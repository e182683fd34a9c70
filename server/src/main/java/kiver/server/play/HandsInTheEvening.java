package kiver.server.play;

import java.time.LocalDate;
import kiver.server.outlook.EveningBook;
import kiver.server.today.RoundService;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Hands go round once more before night and cover what the forecast calls too cold for it. */
@Component
class HandsInTheEvening {

    private final RoundService round;
    private final EveningBook evenings;
    private final HandsWays ways;
    private final TransactionTemplate transaction;

    HandsInTheEvening(RoundService round, EveningBook evenings, HandsWays ways, TransactionTemplate transaction) {
        this.round = round;
        this.evenings = evenings;
        this.ways = ways;
        this.transaction = transaction;
    }

    void seeToTheNight(LocalDate today) {
        if (!ways.seesToTheNight(today)) {
            return;
        }
        for (RoundService.EveningTask task : round.evening()) {
            transaction.executeWithoutResult(
                    status -> evenings.tick(today, task.batch().number(), EveningBook.Done.COVERED, null));
        }
    }
}
