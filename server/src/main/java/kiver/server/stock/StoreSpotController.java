package kiver.server.stock;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.crop.CropBook;
import kiver.server.media.MediaBook;
import kiver.server.problem.Refusal;
import kiver.server.seed.SeedStore;
import kiver.server.stock.StoreSpots.Thing;
import kiver.server.wording.Said;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Where things are kept in the store, said where they are fetched. */
@RestController
class StoreSpotController {

    private final StoreSpots spots;
    private final SeedStore seeds;
    private final MediaBook media;
    private final CropBook crops;

    StoreSpotController(StoreSpots spots, SeedStore seeds, MediaBook media, CropBook crops) {
        this.spots = spots;
        this.seeds = seeds;
        this.media = media;
        this.crops = crops;
    }

    /** The spots in walking order. */
    record StoreWalk(
            @NotNull(message = "Name the spots in walking order.") @Size(max = 500, message = "Name at most 500 spots.")
            List<@NotNull(message = "Name each spot.") String> spots) {}

    /** Where a thing is kept; nothing where it has no spot of its own. */
    record KeptEntry(
            @NotNull(message = "Say what is kept there.") StoreSpots.Kind kind,

            @NotBlank(message = "Say what is kept there.") @Size(max = 80, message = "Use at most 80 letters.")
            String code,

            @NotNull(message = "Say where it is kept, or nothing.") @Size(max = 40, message = "Use at most 40 letters.")
            String spot) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/store/spots")
    StoreWalk walk() {
        return new StoreWalk(spots.inWalkingOrder());
    }

    @OpenTo(Callers.THE_NURSERY)
    @PutMapping("/api/store/spots")
    StoreWalk walkBy(@RequestBody @Valid StoreWalk walk) {
        if (!spots.walkBy(walk.spots())) {
            throw new Refusal(
                    "spots",
                    Said.of("The spots of the store have changed meanwhile. Look at them and order them again."));
        }
        return walk();
    }

    @OpenTo(Callers.THE_NURSERY)
    @PutMapping("/api/store/kept-at")
    StoreWalk keep(@RequestBody @Valid KeptEntry entry) {
        if (!isThere(entry)) {
            throw new Refusal("code", Said.of("Nothing is known as {code}.").with("code", entry.code()));
        }
        spots.keep(new Thing(entry.kind(), entry.code()), entry.spot().strip());
        return walk();
    }

    private boolean isThere(KeptEntry entry) {
        return switch (entry.kind()) {
            case CONTAINER ->
                crops.containers().stream()
                        .anyMatch(container -> container.code().written().equals(entry.code()));
            case MIX ->
                media.recipes().stream()
                        .anyMatch(kept -> kept.recipe().code().written().equals(entry.code()));
            case PACKET -> seeds.lots().stream().anyMatch(lot -> lot.code().equals(entry.code()));
        };
    }
}
