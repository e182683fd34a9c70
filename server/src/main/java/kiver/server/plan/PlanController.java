package kiver.server.plan;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Plans shown while an order is typed, and its acceptance. */
@RestController
class PlanController {

    private final PlanService plans;

    PlanController(PlanService plans) {
        this.plans = plans;
    }

    /** A whole order as typed. */
    record OrderEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Choose the grower.") Long growerId,
            @NotNull(message = "Choose the site.") Long siteId,
            @NotNull @Valid Wish wish) {}

    /** The order taken. */
    record OrderTaken(int number) {}

    @PostMapping("/api/plans")
    PlanView plan(@Valid @RequestBody Wish wish) {
        return PlanView.of(plans.plan(wish), wish.target());
    }

    @PostMapping("/api/orders")
    OrderTaken accept(@Valid @RequestBody OrderEntry entry) {
        return new OrderTaken(plans.accept(entry.requestId(), entry.growerId(), entry.siteId(), entry.wish()));
    }
}
