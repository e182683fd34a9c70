package kiver.server.promise;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import kiver.core.plan.ContainerPath;
import kiver.core.promise.Answer;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.plan.Wish;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Plans shown while an order is typed, and the acceptance of what was promised. */
@RestController
class PromiseController {

    private final PromiseService promises;
    private final PlanViews plans;

    PromiseController(PromiseService promises, PlanViews plans) {
        this.promises = promises;
        this.plans = plans;
    }

    /**
     * One line of an order as typed.
     *
     * @param fromBatch number of the batch that is to give it; missing to sow for it
     * @param seen the answer it is taken on
     */
    record LineEntry(
            @NotNull @Valid Wish wish,
            @Nullable Integer fromBatch,
            @Nullable Answer seen) {

        PromiseService.LineWish line() {
            return new PromiseService.LineWish(wish, fromBatch, seen);
        }
    }

    /** A whole order as typed. */
    record OrderEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Choose the grower.") Long growerId,
            @NotNull(message = "Choose the site.") Long siteId,

            @NotNull(message = "Say what is wanted.")
            @Size(min = 1, max = OrderEntry.MOST_LINES, message = "An order has 1 to 60 lines.")
            List<@Valid @NotNull LineEntry> lines) {

        static final int MOST_LINES = 60;
    }

    /** Plants to be grown for nobody yet. */
    record BatchEntry(
            @NotNull UUID requestId, @NotNull @Valid Wish wish) {}

    /** A batch to be taken out of the plan. */
    record WithdrawalEntry(@NotNull UUID requestId) {}

    /** The batch planned. */
    record BatchPlanned(int number) {}

    /** The order taken. */
    record OrderTaken(int number) {}

    /** One way through containers, for comparison. */
    record PathView(ContainerPath.Kind kind, PlanView plan) {}

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/plans")
    PlanView plan(@Valid @RequestBody Wish wish) {
        return plans.view(wish);
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/paths")
    List<PathView> paths(@Valid @RequestBody Wish wish) {
        return promises.paths(wish).stream()
                .map(checked ->
                        new PathView(checked.prepared().request().containers().kind(), plans.beside(checked, wish)))
                .toList();
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/orders")
    OrderTaken accept(@Valid @RequestBody OrderEntry entry) {
        return new OrderTaken(promises.accept(
                entry.requestId(),
                entry.growerId(),
                entry.siteId(),
                entry.lines().stream().map(LineEntry::line).toList(),
                null));
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/batches")
    BatchPlanned sowForNobody(@Valid @RequestBody BatchEntry entry) {
        return new BatchPlanned(promises.sowForNobody(entry.requestId(), entry.wish()));
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/batches/{number}/withdrawals")
    void withdraw(@PathVariable int number, @Valid @RequestBody WithdrawalEntry entry) {
        promises.withdraw(entry.requestId(), number);
    }
}
