package kiver.server.today;

import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Optional;
import kiver.core.care.LightCall;

/**
 * The light of a place, as it goes out.
 *
 * @param light of the last week, mol m⁻² d⁻¹
 * @param dark what stretches in it; missing where nothing does
 */
record PlaceLightView(double light, @Nullable TooDarkView dark) {

    /**
     * What stretches.
     *
     * @param celsius °C by day and night over the same days
     * @param wanted light that would keep it sturdy in that warmth, mol m⁻² d⁻¹
     * @param coolEnough °C at which the light there would do
     */
    record TooDarkView(double celsius, double wanted, double coolEnough, List<Integer> batches) {}

    static PlaceLightView of(double light, Optional<LightCall> call) {
        return new PlaceLightView(
                light,
                call.map(dark -> new TooDarkView(dark.celsius(), dark.wanted(), dark.coolEnough(), dark.batches()))
                        .orElse(null));
    }
}
