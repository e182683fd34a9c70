package kiver.server.release;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kiver.core.crop.Crop;
import kiver.core.growth.DateSpread;
import kiver.server.wording.Millimetres;
import kiver.server.wording.Said;

/** How to sow where plants are to stand, in lines for the note that goes with the seed and for the grower's page. */
final class SowingLines {

    private static final double MILLIMETRES_IN_CENTIMETRE = 10;

    private SowingLines() {}

    /**
     * The lines.
     *
     * @param up when half of it is up, sown on the first day, where that is known
     */
    static List<Said> of(Crop crop, int spots, int seedsPerSpot, Optional<DateSpread> up) {
        List<Said> lines = new ArrayList<>();
        Millimetres apart =
                new Millimetres(MILLIMETRES_IN_CENTIMETRE * crop.planting().spacing());
        lines.add(Said.of("Sow {spots} spots, {apart} apart, {seeds, plural, one {# seed} other {# seeds}} to each.")
                .with("spots", spots)
                .with("apart", apart)
                .with("seeds", seedsPerSpot));
        if (crop.seed().soakHours() > 0) {
            lines.add(Said.of("Soak the seed for {hours} hours before.")
                    .with("hours", crop.seed().soakHours()));
        }
        lines.add(
                crop.seed().needsLight() || crop.seed().depth() == 0
                        ? Said.of("Press it in and do not cover it; it comes up in light.")
                        : Said.of("Cover it {depth} deep.")
                                .with("depth", new Millimetres(crop.seed().depth())));
        lines.add(Said.of(
                        "Keep the bed moist until it is up{known, select, true {, about {up} when sown on the first day} other {}}; look for slugs and birds in the first evenings.")
                .when("known", up.isPresent())
                .with("up", up.map(DateSpread::middle).orElse(null)));
        if (seedsPerSpot > 1) {
            lines.add(Said.of("Thin to the strongest at each spot when they have two true leaves."));
        }
        if (!crop.planting().caution().isBlank()) {
            lines.add(Said.of("Caution: {caution}")
                    .with("caution", crop.planting().caution()));
        }
        return List.copyOf(lines);
    }
}
