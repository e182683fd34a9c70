package kiver.server.promise;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import kiver.core.crop.ContainerCode;
import kiver.core.order.Bed;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.crop.CropBook;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** For whoever grows for their own table: what to eat or cut, and when, looked at before any of it is planned. */
@RestController
class OwnTableController {

    private final OwnTable table;
    private final CropBook crops;

    OwnTableController(OwnTable table, CropBook crops) {
        this.table = table;
        this.crops = crops;
    }

    /**
     * A bed as it is paced out.
     *
     * @param length m
     * @param breadth m
     * @param spacing cm; null for the crop's own
     * @param edge cm kept free all round; null for none
     */
    record BedEntry(
            @NotNull(message = "Say how long the bed is.")
            @DecimalMin(value = "0.1", message = "Enter 0.1 to 1,000 m.")
            @DecimalMax(value = "1000", message = "Enter 0.1 to 1,000 m.")
            Double length,

            @NotNull(message = "Say how broad the bed is.")
            @DecimalMin(value = "0.1", message = "Enter 0.1 to 1,000 m.")
            @DecimalMax(value = "1000", message = "Enter 0.1 to 1,000 m.")
            Double breadth,

            @Nullable
            @DecimalMin(value = "1", message = "Enter 1 to 500 cm.")
            @DecimalMax(value = "500", message = "Enter 1 to 500 cm.")
            Double spacing,

            @NotNull(message = "Choose how the rows stand.") Bed.Rows rows,

            @Nullable
            @DecimalMin(value = "0", message = "Enter 0 to 500 cm.")
            @DecimalMax(value = "500", message = "Enter 0 to 500 cm.")
            Double edge) {

        Bed bed(double usualSpacing) {
            return new Bed(length, breadth, spacing == null ? usualSpacing : spacing, rows, edge == null ? 0 : edge);
        }
    }

    /**
     * Something one would like to eat or cut.
     *
     * @param plants how many; null where a bed says it
     * @param bed that they are to fill
     * @param from the first day of picking
     * @param until the last day on which picking is to begin
     * @param sowings into how many the plants are divided
     * @param bedFree before which nothing can be planted; null where it is free
     * @param container to raise them in; null for what suits
     */
    record Want(
            @NotNull(message = "Choose a variety.") Long varietyId,

            @Nullable
            @Min(value = 1, message = "Enter 1 to 100,000 plants.")
            @Max(value = 100_000, message = "Enter 1 to 100,000 plants.")
            Integer plants,

            @Nullable @Valid BedEntry bed,

            @NotNull(message = "Choose the first day of picking.")
            LocalDate from,

            @NotNull(message = "Choose the last day.") LocalDate until,

            @NotNull(message = "Say into how many sowings.")
            @Min(value = 1, message = "At least one sowing.")
            @Max(value = 40, message = "At most 40 sowings.")
            Integer sowings,

            @Nullable LocalDate bedFree,
            @Nullable ContainerCode container) {}

    /** Everything that is wanted at a site of one's own. */
    record Wants(
            @NotNull(message = "Choose the site.") Long siteId,

            @NotNull(message = "Say what is wanted.") @Size(min = 1, max = 30, message = "Plan 1 to 30 kinds at once.")
            List<@Valid @NotNull Want> wants) {}

    /** A bed with what is to stand in it. */
    record BedQuestion(
            @NotNull(message = "Choose a variety.") Long varietyId,
            @NotNull @Valid BedEntry bed) {}

    /** How many plants that is, and how far apart. */
    record BedAnswer(int plants, double spacing) {}

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/own-table/plan")
    @Transactional(readOnly = true)
    public OwnTable.OwnSeason plan(@Valid @RequestBody Wants wants) {
        wants.wants().forEach(want -> {
            if ((want.plants() == null) == (want.bed() == null)) {
                throw new Refusal("plants", Said.of("Say either how many plants, or which bed they are to fill."));
            }
        });
        return table.plan(wants.siteId(), wants.wants());
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/own-table/beds")
    BedAnswer bed(@Valid @RequestBody BedQuestion question) {
        double usual =
                crops.cropOf(crops.variety(question.varietyId())).planting().spacing();
        Bed bed = question.bed().bed(usual);
        return new BedAnswer(bed.plants(), bed.spacing());
    }
}
