package kiver.server.order;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import kiver.core.order.Pest;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.account.Role;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Pests at a site: when they are about, and what was seen of them. */
@RestController
class PestController {

    private final OrderBook orders;
    private final PestBook pests;
    private final CropBook crops;
    private final NurseryClock clock;

    PestController(OrderBook orders, PestBook pests, CropBook crops, NurseryClock clock) {
        this.orders = orders;
        this.pests = pests;
        this.crops = crops;
        this.clock = clock;
    }

    /**
     * A pest at a site.
     *
     * @param outBy last day on which plants go out to be established before it comes
     * @param seenOn first days on which it was seen there, in their order
     */
    record PestAtSite(
            Pest pest,
            LocalDate from,
            LocalDate until,
            LocalDate outBy,
            boolean coverHelps,
            List<String> crops,
            List<LocalDate> seenOn) {}

    /** A sighting. */
    record PestSeen(
            @NotNull(message = "Say which pest.") Pest pest,

            @NotNull(message = "Say on which day it was seen first.")
            LocalDate day) {}

    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @GetMapping("/api/sites/{id}/pests")
    List<PestAtSite> pests(@PathVariable long id, @AuthenticationPrincipal Person person) {
        return view(visible(id, person));
    }

    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @PostMapping("/api/sites/{id}/pests")
    @Transactional
    public List<PestAtSite> seen(
            @PathVariable long id, @Valid @RequestBody PestSeen entry, @AuthenticationPrincipal Person person) {
        Site site = visible(id, person);
        LocalDate today = clock.today();
        if (entry.day().isAfter(today) || entry.day().isBefore(today.minusYears(20))) {
            throw new Refusal(
                    "day",
                    Said.of("Enter a day of the last 20 years; today is {today}.")
                            .with("today", today));
        }
        pests.note(site, entry.pest(), entry.day(), person.id());
        return view(site);
    }

    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @DeleteMapping("/api/sites/{id}/pests/{pest}/{day}")
    @Transactional
    public List<PestAtSite> notSeen(
            @PathVariable long id,
            @PathVariable Pest pest,
            @PathVariable LocalDate day,
            @AuthenticationPrincipal Person person) {
        Site site = visible(id, person);
        if (!pests.takeBack(site, pest, day)) {
            throw new Refusal("day", Said.of("Nothing was seen on that day. Load the page again."));
        }
        return view(site);
    }

    /** A grower sees their own sites alone; another's is as if it were not there. */
    private Site visible(long id, Person person) {
        Site site = orders.site(id);
        if (person.role() == Role.GROWER && !Long.valueOf(site.growerId()).equals(person.growerId())) {
            return orders.site(-1);
        }
        return site;
    }

    private List<PestAtSite> view(Site site) {
        return pests.all(site, clock.today()).stream()
                .map(each -> new PestAtSite(
                        each.time().pest(),
                        each.time().from(),
                        each.time().until(),
                        each.time().outBy(),
                        each.time().coverHelps(),
                        each.crops().stream()
                                .map(code -> crops.crop(code).name())
                                .sorted()
                                .toList(),
                        each.seenOn()))
                .toList();
    }
}
