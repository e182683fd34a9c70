package kiver.server.stock;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.crop.CropBook;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What pots and trays stand empty in the shed. */
@RestController
class ShedController {

    private final Shed shed;
    private final CropBook crops;

    ShedController(Shed shed, CropBook crops) {
        this.shed = shed;
        this.crops = crops;
    }

    /**
     * A kind of container in the shed.
     *
     * @param pots whether single pots are counted, not whole trays
     * @param pieces there; missing where nobody counted them
     */
    record InShedView(
            ContainerCode container,
            String name,
            boolean pots,
            @Nullable Integer pieces) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/shed")
    List<InShedView> shed() {
        Map<ContainerCode, Integer> there = shed.pieces();
        return crops.containers().stream()
                .map(each -> new InShedView(
                        each.code(), each.name(), each.kind() == Container.Kind.POTS, there.get(each.code())))
                .toList();
    }

    /** Pots or trays that somebody counted, or that came. */
    record ShedEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Choose the container.") ContainerCode container,

            @NotNull(message = "Say how many.")
            @Min(value = 0, message = "Enter 0 to 100000.")
            @Max(value = 100_000, message = "Enter 0 to 100000.")
            Integer pieces) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/shed/counts")
    void count(@Valid @RequestBody ShedEntry entry, @AuthenticationPrincipal Person person) {
        shed.counted(entry.requestId(), entry.container(), entry.pieces(), person.id());
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/shed/deliveries")
    void came(@Valid @RequestBody ShedEntry entry, @AuthenticationPrincipal Person person) {
        shed.came(entry.requestId(), entry.container(), entry.pieces(), person.id());
    }
}
