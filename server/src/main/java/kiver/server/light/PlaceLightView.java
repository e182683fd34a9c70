package kiver.server.light;

import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Optional;
import kiver.core.care.FierceSun;
import kiver.core.care.LightCall;

/**
 * The light of a place, as it goes out.
 *
 * @param light of the last week, mol m⁻² d⁻¹
 * @param dark what stretches in it; missing where nothing does
 * @param fierce what today's sun harms; missing where it harms nothing
 */
public record PlaceLightView(
        double light, @Nullable TooDarkView dark, @Nullable TooFierceView fierce) {

    /**
     * What the sun of today does.
     *
     * @param daylight expected at the leaves with no cloth drawn, mol m⁻² d⁻¹
     * @param hottest °C expected
     * @param under daylight left under the place's cloth; missing where it has none
     */
    public record TooFierceView(
            FierceSun.Danger danger,
            double daylight,
            double hottest,
            @Nullable Double under,
            List<Integer> batches) {}

    /**
     * What stretches.
     *
     * @param celsius °C by day and night over the same days
     * @param wanted light that would keep it sturdy in that warmth, mol m⁻² d⁻¹
     * @param coolEnough °C at which the light there would do
     */
    public record TooDarkView(double celsius, double wanted, double coolEnough, List<Integer> batches) {}

    public static PlaceLightView of(double light, Optional<LightCall> call, Optional<FierceSun> sun) {
        return new PlaceLightView(
                light,
                call.map(dark -> new TooDarkView(dark.celsius(), dark.wanted(), dark.coolEnough(), dark.batches()))
                        .orElse(null),
                sun.map(fierce -> new TooFierceView(
                                fierce.danger(),
                                fierce.daylight(),
                                fierce.hottest(),
                                fierce.under().orElse(null),
                                fierce.batches()))
                        .orElse(null));
    }
}
