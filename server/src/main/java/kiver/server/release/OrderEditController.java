package kiver.server.release;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import kiver.core.promise.Answer;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.promise.PromiseService;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Changing orders that were taken. */
@RestController
class OrderEditController {

    private final OrderEditService edits;

    OrderEditController(OrderEditService edits) {
        this.edits = edits;
    }

    /** A change to be made. */
    record OrderEditEntry(
            @NotNull UUID requestId, @NotNull @Valid OrderEdit edit) {}

    /** A line to be added. */
    record AddedLineEntry(
            @NotNull UUID requestId,
            @NotNull @Valid Wish wish,
            @Nullable Integer fromBatch,
            @Nullable Answer seen) {}

    /** What is to give a line the plants it was not promised yet. */
    record SupplyEntry(@NotNull UUID requestId, @Nullable Integer fromBatch) {}

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/orders/{number}/consequences")
    Consequences consequences(
            @PathVariable int number, @Valid @RequestBody OrderEdit edit, @AuthenticationPrincipal Person person) {
        return edits.consequences(number, edit, person);
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/orders/{number}/changes")
    void change(
            @PathVariable int number,
            @Valid @RequestBody OrderEditEntry entry,
            @AuthenticationPrincipal Person person) {
        edits.make(entry.requestId(), number, entry.edit(), person);
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/orders/{number}/lines")
    void add(
            @PathVariable int number,
            @Valid @RequestBody AddedLineEntry entry,
            @AuthenticationPrincipal Person person) {
        edits.addLine(
                entry.requestId(),
                number,
                new PromiseService.LineWish(entry.wish(), entry.fromBatch(), entry.seen()),
                person);
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/orders/{number}/lines/{line}/supplies")
    void supply(
            @PathVariable int number,
            @PathVariable int line,
            @Valid @RequestBody SupplyEntry entry,
            @AuthenticationPrincipal Person person) {
        edits.supply(entry.requestId(), number, line, entry.fromBatch(), person);
    }

    /**
     * Plants of another variety in the place of some that are short.
     *
     * @param fromBatch that gives them
     * @param agreed whether the grower was asked and takes them
     */
    record SubstituteEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say of which batch.") Integer fromBatch,

            @NotNull(message = "Say how many plants.") @Min(value = 1, message = "Give at least one plant.")
            Integer plants,

            @NotNull(message = "Say whether the grower agreed.")
            Boolean agreed) {}

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/orders/{number}/lines/{line}/substitutes")
    void substitute(
            @PathVariable int number,
            @PathVariable int line,
            @Valid @RequestBody SubstituteEntry entry,
            @AuthenticationPrincipal Person person) {
        if (!entry.agreed()) {
            throw new Refusal("agreed", Said.of("Ask the grower first; another variety goes by agreement only."));
        }
        edits.substitute(entry.requestId(), number, line, entry.fromBatch(), entry.plants(), person);
    }

    /**
     * So many plants to be sown for anew.
     *
     * @param giveUp whether cells in which nothing has come up are given up; missing is no
     */
    record ResowingEntry(
            @NotNull UUID requestId,

            @NotNull(message = "Say how many plants.") @Min(value = 1, message = "Resow for at least one plant.")
            Integer plants,

            @Nullable Boolean giveUp) {}

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/batches/{number}/resowings")
    void resow(
            @PathVariable int number, @Valid @RequestBody ResowingEntry entry, @AuthenticationPrincipal Person person) {
        edits.resow(entry.requestId(), number, entry.plants(), Boolean.TRUE.equals(entry.giveUp()), person);
    }
}
