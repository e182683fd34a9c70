package kiver.server.release;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import kiver.core.crop.CropCode;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.crop.CropBook;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What local rules want to be written of plants that are handed over. */
@RestController
class HealthEntryController {

    private static final int MOST_ENTRIES = 12;

    private final HealthBook book;
    private final CropBook crops;

    HealthEntryController(HealthBook book, CropBook crops) {
        this.book = book;
        this.crops = crops;
    }

    /** A crop with its botanical name, empty where it has none. */
    record BotanicalName(
            @NotBlank String crop,
            @NotNull String cropName,

            @NotNull @Size(max = 120, message = "Use at most 120 letters.")
            String name) {}

    /** An entry as it is set. */
    record TypedEntry(
            @NotBlank(message = "Say what stands before it.") @Size(max = 60, message = "Use at most 60 letters.")
            String label,

            @NotNull(message = "Say where it comes from.") HealthBook.Source source,

            @NotNull @Size(max = 200, message = "Use at most 200 letters.")
            String words) {}

    /** All that is written. */
    record HealthEntries(
            @NotNull @Size(max = MOST_ENTRIES, message = "At most 12 entries go on a note.")
            List<@Valid TypedEntry> entries,

            @NotNull List<@Valid BotanicalName> names) {}

    @OpenTo(Callers.PROPAGATOR)
    @GetMapping("/api/plant-health")
    HealthEntries all() {
        Map<String, String> names = book.names();
        return new HealthEntries(
                book.entries().stream()
                        .map(entry -> new TypedEntry(entry.label(), entry.source(), entry.words()))
                        .toList(),
                crops.crops().stream()
                        .map(crop -> new BotanicalName(
                                crop.code().written(),
                                crop.name(),
                                names.getOrDefault(crop.code().written(), "")))
                        .toList());
    }

    /** Sets all of it; what went before keeps what was written then. */
    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/plant-health")
    @Transactional
    public void set(@Valid @RequestBody HealthEntries typed) {
        book.set(typed.entries().stream()
                .map(entry -> new HealthBook.HealthEntry(
                        entry.label().strip(), entry.source(), entry.words().strip()))
                .toList());
        typed.names()
                .forEach(each -> book.name(
                        crops.crop(new CropCode(each.crop())).code(),
                        each.name().strip()));
    }
}
