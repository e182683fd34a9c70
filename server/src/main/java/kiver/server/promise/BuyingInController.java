package kiver.server.promise;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.plan.Wish;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Planning plants that somebody else raises, for a line of an order or for nobody yet. */
@RestController
class BuyingInController {

    private final BuyingIn buying;

    BuyingInController(BuyingIn buying) {
        this.buying = buying;
    }

    /**
     * Plants to be bought in.
     *
     * @param wish what is wanted of them when they go out
     * @param order number of the order they are for; missing for nobody yet
     * @param line of it
     */
    record BuyingEntry(
            @NotNull UUID requestId,
            @NotNull @Valid Wish wish,
            @NotNull @Valid Consignment consignment,
            @Nullable Integer order,
            @Nullable Integer line) {}

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/batches/bought-in")
    PromiseController.BatchPlanned buy(@Valid @RequestBody BuyingEntry entry) {
        return new PromiseController.BatchPlanned(buying.buy(entry));
    }
}
