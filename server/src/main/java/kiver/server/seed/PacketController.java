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
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.crop.Maturity;
import kiver.core.seed.LotId;
import kiver.core.seed.PacketSays;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import kiver.server.wording.Wording;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Taking in a packet as it lies on the table: its variety and its seed at once, with as much as it says. */
@RestController
class PacketController {

    /** Of a packet that says nothing of it: so many of a hundred, known no better than by a score of seeds. */
    private static final double GERMINATION_UNSAID = 0.85;

    /** Of one that says only that it is below standard. */
    private static final double GERMINATION_BELOW_STANDARD = 0.6;

    private static final int SEEDS_TESTED_UNSAID = 20;
    private static final int SEEDS_TESTED_USUALLY = 100;
    private static final int GRAMS_OF_A_THOUSAND = 1_000;

    private final SeedStore seeds;
    private final CropBook crops;
    private final NurseryClock clock;
    private final Wording wording;

    PacketController(SeedStore seeds, CropBook crops, NurseryClock clock, Wording wording) {
        this.seeds = seeds;
        this.crops = crops;
        this.clock = clock;
        this.wording = wording;
    }

    /**
     * A packet; what it does not say is left out.
     *
     * @param seeds in it; or its weight
     * @param grams in it
     * @param germination share, 0 to 1
     * @param belowStandard whether it says that its germination is below standard
     * @param packed year in which it was packed or tested
     * @param days until seedlings show, the fewest
     * @param daysAtMost the most
     * @param depth mm
     * @param sowBy the last year for which it is sold
     * @param hybrid whether its variety is one
     * @param coated whether each seed lies in a coat
     * @param ownSaved whether the nursery saved it itself
     * @param maturityDays until the variety is ripe
     * @param maturityFrom the day from which they count
     */
    record PacketEntry(
            @NotNull(message = "Choose the crop.") CropCode crop,

            @NotBlank(message = "Enter the variety's name.") @Size(max = 80, message = "Use at most 80 letters.")
            String variety,

            @Nullable @Min(value = 1, message = "A packet holds at least one seed.")
            Integer seeds,

            @Nullable
            @DecimalMin(value = "0.001", message = "Enter 0.001 to 100,000 g.")
            @DecimalMax(value = "100000", message = "Enter 0.001 to 100,000 g.")
            Double grams,

            @Nullable
            @DecimalMin(value = "0", message = "Enter 0 to 100 %.")
            @DecimalMax(value = "1", message = "Enter 0 to 100 %.")
            Double germination,

            @Nullable
            @Min(value = 1990, message = "Enter the year with four digits.")
            @Max(value = 2200, message = "Enter the year with four digits.")
            Integer packed,

            @Nullable @Size(max = 80, message = "Use at most 80 letters.")
            String supplier,

            @Nullable @Size(max = 40, message = "Use at most 40 letters.")
            String code,

            @Nullable
            @Min(value = 1, message = "Enter 1 to 365 days.")
            @Max(value = 365, message = "Enter 1 to 365 days.")
            Integer days,

            @Nullable
            @Min(value = 1, message = "Enter 1 to 365 days.")
            @Max(value = 365, message = "Enter 1 to 365 days.")
            Integer daysAtMost,

            @Nullable
            @DecimalMin(value = "0", message = "Seed lies on the surface or deeper.")
            @DecimalMax(value = "200", message = "No seed lies so deep.")
            Double depth,

            @Nullable
            @Min(value = 1990, message = "Enter the year with four digits.")
            @Max(value = 2200, message = "Enter the year with four digits.")
            Integer sowBy,

            boolean belowStandard,
            boolean hybrid,
            boolean coated,
            boolean ownSaved,

            @Nullable
            @Min(value = 1, message = "Enter 1 to 730 days.")
            @Max(value = 730, message = "Enter 1 to 730 days.")
            Integer maturityDays,

            @Nullable Maturity.From maturityFrom) {}

    /**
     * The lot that was made, and what was worked out because the packet did not say it.
     *
     * @param germinationReckoned share that is reckoned with until counts tell; null where the packet says it
     * @param cautions what to bear in mind of it
     */
    record PacketTaken(String code, int seeds, @Nullable Double germinationReckoned, List<PacketCaution> cautions) {}

    /** What to bear in mind of a packet. */
    enum PacketCaution {
        /** The year until which it is good is over. */
        PAST_ITS_YEAR,
        /** Seed saved from a hybrid does not come true. */
        SAVED_FROM_HYBRID,
        /** Seed in a coat is not soaked, and does not keep. */
        COATED
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/packets")
    @Transactional
    public PacketTaken take(@Valid @RequestBody PacketEntry entry) {
        Crop crop = crops.crop(entry.crop());
        int count = count(entry, crop);
        LocalDate tested = testedOn(entry);
        boolean unsaid = entry.germination() == null;
        double reckoned = entry.belowStandard() ? GERMINATION_BELOW_STANDARD : GERMINATION_UNSAID;
        Optional<Maturity> maturity = maturity(entry);
        String code = entry.code() == null || entry.code().isBlank()
                ? codeFor(entry)
                : entry.code().strip();
        long variety = variety(entry);
        crops.sayOf(variety, entry.hybrid(), maturity.orElse(null));
        seeds.add(new SeedLot(
                new LotId(0),
                code,
                variety,
                entry.supplier() == null || entry.supplier().isBlank()
                        ? wording.say(entry.ownSaved() ? Said.of("own seed") : Said.of("not said"))
                        : entry.supplier().strip(),
                unsaid ? reckoned : entry.germination(),
                unsaid ? SEEDS_TESTED_UNSAID : SEEDS_TESTED_USUALLY,
                tested,
                count,
                count));
        seeds.sayOf(code, said(entry));
        return new PacketTaken(code, count, unsaid ? reckoned : null, cautions(entry, variety));
    }

    private List<PacketCaution> cautions(PacketEntry entry, long variety) {
        List<PacketCaution> cautions = new ArrayList<>();
        if (entry.sowBy() != null && entry.sowBy() < clock.today().getYear()) {
            cautions.add(PacketCaution.PAST_ITS_YEAR);
        }
        if (entry.ownSaved() && crops.variety(variety).hybrid()) {
            cautions.add(PacketCaution.SAVED_FROM_HYBRID);
        }
        if (entry.coated()) {
            cautions.add(PacketCaution.COATED);
        }
        return cautions;
    }

    private static Optional<Maturity> maturity(PacketEntry entry) {
        if (entry.maturityDays() == null) {
            return Optional.empty();
        }
        if (entry.maturityFrom() == null) {
            throw new Refusal(
                    "maturityFrom", Said.of("Say from when the days to maturity count; packets differ in it."));
        }
        return Optional.of(new Maturity(entry.maturityDays(), entry.maturityFrom()));
    }

    private static int count(PacketEntry entry, Crop crop) {
        if (entry.seeds() != null) {
            return entry.seeds();
        }
        if (entry.grams() == null) {
            throw new Refusal("seeds", Said.of("Say how many seeds there are, or what they weigh."));
        }
        if (entry.coated()) {
            throw new Refusal(
                    "seeds", Said.of("Coats weigh more than seed: say how many seeds there are, as the packet does."));
        }
        long count = Math.round(entry.grams() / crop.seed().thousandSeedWeight() * GRAMS_OF_A_THOUSAND);
        if (count < 1 || count > Integer.MAX_VALUE) {
            throw new Refusal(
                    "grams", Said.of("So much weighs less than one seed of this crop, or more than can be counted."));
        }
        return (int) count;
    }

    private LocalDate testedOn(PacketEntry entry) {
        if (entry.packed() == null) {
            return clock.today();
        }
        LocalDate newYear = LocalDate.of(entry.packed(), 1, 1);
        if (newYear.isAfter(clock.today())) {
            throw new Refusal("packed", Said.of("This year is still to come."));
        }
        return newYear;
    }

    private long variety(PacketEntry entry) {
        String name = entry.variety().strip();
        Optional<Variety> known = crops.varieties().stream()
                .filter(each -> each.name().equalsIgnoreCase(name))
                .findFirst();
        if (known.isPresent() && !known.get().crop().equals(entry.crop())) {
            throw new Refusal(
                    "variety",
                    Said.of("There is a variety named \"{name}\" of another crop already.")
                            .with("name", known.get().name()));
        }
        return known.map(Variety::id).orElseGet(() -> crops.add(entry.crop(), name));
    }

    private static PacketSays said(PacketEntry entry) {
        return new PacketSays(
                DaysOnPacket.typed(entry.days(), entry.daysAtMost(), "daysAtMost"),
                entry.depth() == null ? OptionalDouble.empty() : OptionalDouble.of(entry.depth()),
                entry.sowBy() == null ? OptionalInt.empty() : OptionalInt.of(entry.sowBy()),
                entry.coated(),
                entry.ownSaved());
    }

    /** A code for a packet without one: its variety, the year and a number. */
    private String codeFor(PacketEntry entry) {
        Set<String> taken = seeds.lots().stream()
                .map(lot -> lot.code().toUpperCase(Locale.ROOT))
                .collect(Collectors.toSet());
        String letters = entry.variety().strip().toUpperCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "");
        String stem = letters.substring(0, Math.min(letters.length(), 6)) + "-"
                + clock.today().getYear() % 100;
        int number = 1;
        while (taken.contains(stem + "-" + number)) {
            number++;
        }
        return stem + "-" + number;
    }
}
