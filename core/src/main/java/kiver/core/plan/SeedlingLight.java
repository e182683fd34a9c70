package kiver.core.plan;

import java.time.LocalDate;
import java.util.function.ToDoubleFunction;
import kiver.core.growth.LeafGrowth;
import kiver.core.growth.Season;
import kiver.core.place.PlaceId;

/** The light that seedlings have in their first weeks where they grow on, by the day on which they are sown. */
public final class SeedlingLight {

    /** Where light does not count. */
    public static final SeedlingLight AMPLE = new SeedlingLight(day -> Double.POSITIVE_INFINITY, 0);

    /** About when most crops are up. */
    private static final int DAYS_TO_COME_UP = 7;

    /** What stretches in its first weeks does not recover. */
    private static final int DAYS_LOOKED_AT = 30;

    private final ToDoubleFunction<LocalDate> meanAfter;
    private final double needed;

    private SeedlingLight(ToDoubleFunction<LocalDate> meanAfter, double needed) {
        this.meanAfter = meanAfter;
        this.needed = needed;
    }

    /**
     * Light at a place through a season, the mean over its weather scenarios.
     *
     * @param season to look into
     * @param growingOn the place
     * @param leaves of the crop, which say how much light it needs
     */
    public static SeedlingLight at(Season season, PlaceId growingOn, LeafGrowth leaves) {
        return new SeedlingLight(
                sowDay -> season.meanLight(growingOn, sowDay.plusDays(DAYS_TO_COME_UP), DAYS_LOOKED_AT),
                leaves.leggyBelow());
    }

    /** Mean light in the first weeks after emergence, mol m⁻² d⁻¹, for seedlings sown on that day. */
    public double meanAfter(LocalDate sowDay) {
        return meanAfter.applyAsDouble(sowDay);
    }

    /** What keeps seedlings from stretching, mol m⁻² d⁻¹. */
    public double needed() {
        return needed;
    }

    /** Whether seedlings sown on that day would stay sturdy. */
    public boolean isEnough(LocalDate sowDay) {
        return meanAfter(sowDay) >= needed;
    }
}
