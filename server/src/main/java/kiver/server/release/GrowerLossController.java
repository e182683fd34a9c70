package kiver.server.release;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import kiver.core.batch.LossReason;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** How did they do? Losses after planting, with a photograph, and what is given in their place. */
@RestController
class GrowerLossController {

    private static final int MOST_BYTES = 400_000;

    private final GrowerLosses losses;

    GrowerLossController(GrowerLosses losses) {
        this.losses = losses;
    }

    /** A loss. */
    record LossEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say of which line.") Integer line,

            @NotNull(message = "Say how many plants were lost.")
            @Min(value = 1, message = "Enter 1 plant or more.")
            @Max(value = 100_000, message = "Enter at most 100,000 plants.")
            Integer plants,

            @NotNull(message = "Say why.") LossReason reason,

            @Nullable @Size(max = 500, message = "Use at most 500 letters.")
            String words) {}

    /** The loss that was told. */
    record LossTold(int number) {}

    /** Plants in the place of some that were lost. */
    record ReplacementEntry(
            @NotNull UUID requestId,

            @NotNull(message = "Say how many plants.") @Min(value = 1, message = "Give at least one plant.")
            Integer plants) {}

    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @GetMapping("/api/losses")
    List<GrowerLossMapper.GrowerLossRow> losses(@AuthenticationPrincipal Person person) {
        return losses.visibleTo(person);
    }

    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @PostMapping("/api/releases/{number}/losses")
    LossTold tell(
            @PathVariable int number, @Valid @RequestBody LossEntry entry, @AuthenticationPrincipal Person person) {
        return new LossTold(losses.tell(
                entry.requestId(),
                number,
                new GrowerLosses.Told(
                        entry.line(),
                        entry.plants(),
                        entry.reason(),
                        entry.words() == null ? "" : entry.words().strip()),
                person));
    }

    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @GetMapping("/api/losses/{number}/photograph")
    ResponseEntity<byte[]> photograph(@PathVariable int number, @AuthenticationPrincipal Person person) {
        return ResponseEntity.ok().contentType(MediaType.IMAGE_JPEG).body(losses.photograph(number, person));
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/losses/{number}/replacements")
    void replace(
            @PathVariable int number,
            @Valid @RequestBody ReplacementEntry entry,
            @AuthenticationPrincipal Person person) {
        losses.replace(entry.requestId(), number, entry.plants(), person);
    }

    /** Nothing but a JPEG is kept: what is shown to others later must be a picture. */
    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @PutMapping(value = "/api/losses/{number}/photograph", consumes = MediaType.IMAGE_JPEG_VALUE)
    void picture(@PathVariable int number, @RequestBody byte[] picture, @AuthenticationPrincipal Person person) {
        boolean jpeg = picture.length > 3 && (picture[0] & 0xff) == 0xff && (picture[1] & 0xff) == 0xd8;
        if (!jpeg || picture.length > MOST_BYTES) {
            throw new Refusal("photograph", Said.of("The photograph cannot be read. Take it again."));
        }
        losses.picture(number, picture, person);
    }
}
