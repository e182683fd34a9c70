package kiver.server.release;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.promise.Consignment;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Raised here, sown in place, or bought in. */
@RestController
class RouteController {

    private final Routes routes;

    RouteController(Routes routes) {
        this.routes = routes;
    }

    /**
     * The way that is taken.
     *
     * @param consignment what is bought; missing for other ways
     */
    record RouteEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Choose a way.") Route route,
            @Nullable @Valid Consignment consignment) {}

    /** Seed that did not go after all. */
    record SeedReturnEntry(@NotNull UUID requestId) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/routes/{number}/{line}")
    RouteComparison.RoutesView routes(@PathVariable int number, @PathVariable int line) {
        return routes.of(number, line);
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/orders/{number}/lines/{line}/route")
    void take(
            @PathVariable int number,
            @PathVariable int line,
            @Valid @RequestBody RouteEntry entry,
            @AuthenticationPrincipal Person person) {
        routes.take(entry.requestId(), number, line, entry.route(), entry.consignment(), person);
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/orders/{number}/lines/{line}/seed-returns")
    void takeSeedBack(
            @PathVariable int number,
            @PathVariable int line,
            @Valid @RequestBody SeedReturnEntry entry,
            @AuthenticationPrincipal Person person) {
        routes.takeSeedBack(entry.requestId(), number, line, person);
    }
}
