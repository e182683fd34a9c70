package kiver.server.crop;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import kiver.core.crop.CropCode;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Adding varieties. */
@RestController
class VarietyController {

    private final CropBook crops;

    VarietyController(CropBook crops) {
        this.crops = crops;
    }

    /** A variety to be added. */
    record VarietyEntry(
            @NotNull(message = "Choose the crop.") CropCode crop,

            @NotBlank(message = "Enter a name.") @Size(max = 80, message = "Use at most 80 letters.")
            String name) {}

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/varieties")
    void add(@Valid @RequestBody VarietyEntry entry) {
        crops.add(entry.crop(), entry.name().strip());
    }
}
