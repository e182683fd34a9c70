package kiver.server.seed;

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
import java.util.OptionalDouble;
import kiver.core.seed.LotId;
import kiver.core.seed.PacketSays;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Taking seed into the store. */
@RestController
class LotController {

    private final SeedStore seeds;
    private final CropBook crops;
    private final NurseryClock clock;

    LotController(SeedStore seeds, CropBook crops, NurseryClock clock) {
        this.seeds = seeds;
        this.crops = crops;
        this.clock = clock;
    }

    /** A lot as its packet says. */
    record LotEntry(
            @NotBlank(message = "Enter the lot's code.") @Size(max = 40, message = "Use at most 40 letters.")
            String code,

            @NotNull(message = "Choose the variety.") Long varietyId,

            @NotBlank(message = "Enter the supplier.") @Size(max = 80, message = "Use at most 80 letters.")
            String supplier,

            @NotNull(message = "Enter the germination on the label.")
            @DecimalMin(value = "0", message = "Enter 0 to 100 %.")
            @DecimalMax(value = "1", message = "Enter 0 to 100 %.")
            Double germinationLabel,

            @NotNull(message = "Enter how many seeds were tested.")
            @Min(value = 1, message = "A test takes at least one seed.")
            Integer testedSeeds,

            @NotNull(message = "Enter the day of the test.") LocalDate testedOn,

            @NotNull(message = "Enter how many seeds there are.")
            @Min(value = 1, message = "A lot holds at least one seed.")
            Integer seeds,

            @Nullable
            @Min(value = 1, message = "Enter 1 to 365 days.")
            @Max(value = 365, message = "Enter 1 to 365 days.")
            Integer packetDaysFrom,

            @Nullable
            @Min(value = 1, message = "Enter 1 to 365 days.")
            @Max(value = 365, message = "Enter 1 to 365 days.")
            Integer packetDaysTo,

            @Nullable
            @DecimalMin(value = "0", message = "Seed lies on the surface or deeper.")
            @DecimalMax(value = "200", message = "No seed lies so deep.")
            Double packetDepth) {

        PacketSays packet() {
            return new PacketSays(
                    DaysOnPacket.typed(packetDaysFrom, packetDaysTo, "packetDaysTo"),
                    packetDepth == null ? OptionalDouble.empty() : OptionalDouble.of(packetDepth));
        }
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/lots")
    @Transactional
    void add(@Valid @RequestBody LotEntry entry) {
        if (entry.testedOn().isAfter(clock.today())) {
            throw new Refusal("testedOn", Said.of("This day is still to come."));
        }
        PacketSays packet = entry.packet();
        seeds.add(new SeedLot(
                new LotId(0),
                entry.code().strip(),
                crops.variety(entry.varietyId()).id(),
                entry.supplier().strip(),
                entry.germinationLabel(),
                entry.testedSeeds(),
                entry.testedOn(),
                entry.seeds(),
                entry.seeds()));
        seeds.sayOf(entry.code().strip(), packet);
    }
}
