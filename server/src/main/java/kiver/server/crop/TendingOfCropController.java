package kiver.server.crop;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.crop.PotDepth;
import kiver.core.crop.Tending;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** How this nursery tends a crop, where good growers differ. */
@RestController
class TendingOfCropController {

    private final CropBook crops;
    private final LibraryBook library;

    TendingOfCropController(CropBook crops, LibraryBook library) {
        this.crops = crops;
        this.library = library;
    }

    /**
     * How a crop is tended.
     *
     * @param potDepth how deep it is set when it is potted up
     * @param brushed whether its tops are brushed each day
     * @param pinchedFrom true leaves at which its tips are taken out; 0 where they are left
     * @param flowersOffFrom true leaves from which early flowers are taken off; 0 where they are left
     */
    record TendingOfCrop(
            @NotNull(message = "Say how deep it is set.") PotDepth potDepth,
            @NotNull(message = "Say whether it is brushed.") Boolean brushed,

            @NotNull(message = "Enter the leaves, or 0.")
            @DecimalMin(value = "0", message = "Enter 0 to 20 true leaves.")
            @DecimalMax(value = "20", message = "Enter 0 to 20 true leaves.")
            Double pinchedFrom,

            @NotNull(message = "Enter the leaves, or 0.")
            @DecimalMin(value = "0", message = "Enter 0 to 20 true leaves.")
            @DecimalMax(value = "20", message = "Enter 0 to 20 true leaves.")
            Double flowersOffFrom) {}

    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/crops/{code}/tending")
    @Transactional
    public void tend(@PathVariable String code, @Valid @RequestBody TendingOfCrop entry) {
        Crop crop = crops.crop(new CropCode(code));
        library.put(crop.tended(
                new Tending(entry.brushed(), entry.pinchedFrom(), entry.flowersOffFrom()), entry.potDepth()));
    }
}
