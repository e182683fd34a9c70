package kiver.server.order;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import kiver.core.order.Protection;
import kiver.server.account.GrowerLinks;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.problem.NotFound;
import kiver.server.wording.Said;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Adding growers and their sites. */
@RestController
class GrowerController {

    private final OrderBook orders;
    private final GrowerLinks links;

    GrowerController(OrderBook orders, GrowerLinks links) {
        this.orders = orders;
        this.links = links;
    }

    /** A grower's link; without a code where there is none that opens anything. */
    record GrowerLinkView(@Nullable String code, @Nullable LocalDate until) {}

    @OpenTo(Callers.PROPAGATOR)
    @GetMapping("/api/growers/{id}/link")
    GrowerLinkView link(@PathVariable long id) {
        return view(links.of(grower(id).id()).orElse(null));
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/growers/{id}/link")
    GrowerLinkView renew(@PathVariable long id) {
        Grower grower = grower(id);
        return view(links.renew(grower.id(), grower.name()));
    }

    @OpenTo(Callers.PROPAGATOR)
    @DeleteMapping("/api/growers/{id}/link")
    GrowerLinkView withdraw(@PathVariable long id) {
        links.withdraw(grower(id).id());
        return view(null);
    }

    private static GrowerLinkView view(GrowerLinks.Link link) {
        return link == null ? new GrowerLinkView(null, null) : new GrowerLinkView(link.code(), link.until());
    }

    private Grower grower(long id) {
        return orders.growers().stream()
                .filter(each -> each.id() == id)
                .findFirst()
                .orElseThrow(() ->
                        new NotFound(Said.of("There is no grower {number}.").with("number", id)));
    }

    /** A site, of a grower who is known by that name or is new. */
    record SiteEntry(
            @NotBlank(message = "Enter the grower's name.") @Size(max = 80, message = "Use at most 80 letters.")
            String grower,

            @NotBlank(message = "Enter the site's name.") @Size(max = 80, message = "Use at most 80 letters.")
            String site,

            @NotNull(message = "Enter the altitude.")
            @Min(value = -400, message = "Enter −400 to 5,000 m.")
            @Max(value = 5000, message = "Enter −400 to 5,000 m.")
            Integer altitude,

            @Nullable Protection protection,

            @Nullable
            @DecimalMin(value = "-25", message = "Enter −25 to 25 K.")
            @DecimalMax(value = "25", message = "Enter −25 to 25 K.")
            Double temperatureOffset) {}

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/growers")
    @Transactional
    public void add(@Valid @RequestBody SiteEntry entry) {
        String name = entry.grower().strip();
        long grower = orders.growers().stream()
                .filter(each -> each.name().equalsIgnoreCase(name))
                .map(Grower::id)
                .findFirst()
                .orElseGet(() -> orders.addGrower(name));
        orders.addSite(new Site(
                0,
                grower,
                entry.site().strip(),
                entry.altitude(),
                entry.protection() == null ? Protection.OPEN_GROUND : entry.protection(),
                entry.temperatureOffset()));
    }
}
