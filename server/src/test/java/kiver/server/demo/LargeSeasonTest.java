package kiver.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.ForecastChange;
import kiver.core.plan.ContainerPath;
import kiver.server.ServerTest;
import kiver.server.batch.BatchBook;
import kiver.server.batch.PlanChanges;
import kiver.server.board.Board;
import kiver.server.clock.NurseryClock;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.outlook.ForecastLedger;
import kiver.server.space.AssignmentService;
import kiver.server.space.Placings;
import kiver.server.wording.Said;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.transaction.support.TransactionTemplate;

@ServerTest
@TestPropertySource(properties = "kiver.season-of=24")
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class LargeSeasonTest {

    @Autowired
    BatchBook batches;

    @Autowired
    BatchAnalyst analyst;

    @Autowired
    Board board;

    @Autowired
    AssignmentService assignment;

    @Autowired
    ForecastLedger ledger;

    @Autowired
    PlanChanges plans;

    @Autowired
    NurseryClock clock;

    @Autowired
    TransactionTemplate transaction;

    @Test
    @Order(1)
    void fillsAnEmptyNurseryWithPlannedBatches() {
        assertThat(batches.files()).hasSize(24);
        assertThat(analyst.all()).hasSize(24).allSatisfy(batch -> {
            assertThat(batch.file().state().sownOn()).isEmpty();
            assertThat(batch.containers().kind()).isEqualTo(ContainerPath.Kind.STRAIGHT);
            assertThat(batch.stays()).isNotEmpty();
            assertThat(batch.file().batch().sowDay()).isAfterOrEqualTo(clock.today());
        });
    }

    @Test
    @Order(2)
    void whatIsWorkedOutIsKeptUntilSomethingChanges() {
        List<BatchOutlook> before = analyst.all();
        assertThat(analyst.all()).isSameAs(before);
        Batch batch = before.get(0).file().batch();
        transaction.executeWithoutResult(status -> {
            plans.change(
                    null,
                    Said.of("Sow later"),
                    Map.of(batch.number(), batch.plan().sownOn(batch.sowDay().plusDays(5))));
            assertThat(analyst.all().get(0).file().batch().sowDay())
                    .isEqualTo(batch.sowDay().plusDays(5));
            status.setRollbackOnly();
        });
        assertThat(analyst.all().get(0).file().batch().sowDay()).isEqualTo(batch.sowDay());
        assertThat(analyst.all().get(5)).isSameAs(before.get(5));
    }

    @Test
    @Order(3)
    void aTrialLeavesTheKeptAlone() {
        BatchOutlook batch = analyst.all().get(3);
        LocalDate later = batch.file().batch().sowDay().plusDays(9);
        BatchOutlook tried = board.tried(batch, batch.file().batch().plan().sownOn(later));
        assertThat(tried.file().batch().sowDay()).isEqualTo(later);
        assertThat(tried.forecast().ready().orElseThrow().middle())
                .isAfter(batch.forecast().ready().orElseThrow().middle());
        assertThat(analyst.all().get(3)).isSameAs(batch);
    }

    @Test
    @Order(4)
    void movedForecastsAreNotedOnceWithTheirCause() {
        ledger.compare();
        assertThat(ledger.lately()).isEmpty();
        Batch batch = analyst.all().get(7).file().batch();
        transaction.executeWithoutResult(status -> plans.change(
                null,
                Said.of("Sow later"),
                Map.of(batch.number(), batch.plan().sownOn(batch.sowDay().plusDays(20)))));
        ledger.compare();
        ledger.compare();
        assertThat(ledger.lately()).singleElement().satisfies(noted -> {
            assertThat(noted.batch()).isEqualTo(batch.number());
            assertThat(noted.readyAfter()).isAfter(noted.readyBefore().plusDays(1));
            assertThat(noted.cause()).isEqualTo(ForecastChange.Cause.RECORD);
        });
    }

    @Test
    @Order(5)
    void theSeasonIsPlacedInTheBackground() throws InterruptedException {
        assignment.start();
        for (int tries = 0; tries < 400 && assignment.standing().running(); tries++) {
            Thread.sleep(50);
        }
        Placings outcome = assignment.standing().outcome().orElseThrow();
        assertThat(outcome.placings())
                .hasSize(24)
                .allSatisfy(placing -> assertThat(placing.reason().isEmpty()).isFalse());
        assertThat(outcome.overflowAfter()).isLessThanOrEqualTo(outcome.overflowBefore());
        int changed = assignment.take(null);
        assertThat(changed).isEqualTo((int)
                outcome.placings().stream().filter(Placings.Placing::changes).count());
        assertThat(plans.lastWords()).contains(Said.of("Place the whole season"));
    }
}
