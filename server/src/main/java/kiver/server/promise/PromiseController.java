package kiver.server.promise;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import kiver.core.plan.ContainerPath;
import kiver.core.promise.Answer;
import kiver.server.plan.Wish;
import kiver.server.space.RateBook;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Plans shown while an order is typed, promises asked for in plain words, and their acceptance. */
@RestController
class PromiseController {

    private final PromiseService promises;
    private final Questions questions;
    private final RateBook rates;

    PromiseController(PromiseService promises, Questions questions, RateBook rates) {
        this.promises = promises;
        this.questions = questions;
        this.rates = rates;
    }

    /**
     * A whole order as typed.
     *
     * @param seen the answer it is taken on
     */
    record OrderEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Choose the grower.") Long growerId,
            @NotNull(message = "Choose the site.") Long siteId,
            @NotNull @Valid Wish wish,
            @Nullable Answer seen) {}

    /** The order taken. */
    record OrderTaken(int number) {}

    /** A question as it was typed. */
    record QuestionEntry(
            @NotBlank(message = "Say how many of what for which day, for example: 400 curly kale, 12 May.") @Size(max = 300, message = "Use at most 300 letters.") String text) {}

    /** One way through containers, for comparison. */
    record PathView(ContainerPath.Kind kind, PlanView plan) {}

    @PostMapping("/api/plans")
    PlanView plan(@Valid @RequestBody Wish wish) {
        return view(wish);
    }

    @PostMapping("/api/promises")
    Questions.Understood promise(@Valid @RequestBody QuestionEntry entry) {
        return questions.understand(entry.text());
    }

    @PostMapping("/api/paths")
    List<PathView> paths(@Valid @RequestBody Wish wish) {
        return promises.paths(wish).stream()
                .map(checked -> new PathView(
                        checked.prepared().request().containers().kind(),
                        PlanView.of(checked, wish.target(), rates.rates())))
                .toList();
    }

    @PostMapping("/api/orders")
    OrderTaken accept(@Valid @RequestBody OrderEntry entry) {
        return new OrderTaken(promises.accept(
                entry.requestId(), entry.growerId(), entry.wish().at(entry.siteId()), null, entry.seen()));
    }

    private PlanView view(Wish wish) {
        return PlanView.of(promises.check(wish, true), wish.target(), rates.rates());
    }
}
