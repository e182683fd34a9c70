package kiver.core.release;

import java.time.LocalDate;
import kiver.core.order.Pest;

/** What the weather at a grower's site asks of whoever plants there on a day, in figures. */
public sealed interface PlantingAdvice {

    /** Whether it is better not to plant yet. */
    default boolean speaksAgainst() {
        return false;
    }

    /** A night is forecast that harms them; a fleece is enough, or is not. */
    record FrostAhead(LocalDate night, double minimumCelsius, double harmedAtCelsius, boolean fleeceEnough)
            implements PlantingAdvice {
        @Override
        public boolean speaksAgainst() {
            return !fleeceEnough;
        }
    }

    /** Beyond the forecast frost still comes in so many years of 100; from that day on it hardly does. */
    record FrostMayCome(int years, LocalDate from) implements PlantingAdvice {}

    /** The soil is colder than they wait for. */
    record ColdSoil(double soilCelsius, double waitCelsius) implements PlantingAdvice {
        @Override
        public boolean speaksAgainst() {
            return true;
        }
    }

    /** It will be hot: in the evening, and shaded. */
    record HotDay(LocalDate day, double maximumCelsius) implements PlantingAdvice {}

    /** Wind that tears leaves and dries plugs. */
    record WindyDay(LocalDate day, double gustMetresPerSecond) implements PlantingAdvice {}

    /** Rain comes and waters them in. */
    record RainComes(LocalDate day, double rainMillimetres) implements PlantingAdvice {}

    /** No rain in the days that are forecast. */
    record NoRain(int days) implements PlantingAdvice {}

    /** A pest is about, or comes before they have outgrown it. */
    record PestThere(Pest pest, LocalDate from, LocalDate until, boolean coverHelps) implements PlantingAdvice {
        @Override
        public boolean speaksAgainst() {
            return !coverHelps;
        }
    }

    /** Nothing speaks against it. */
    record GoodDay() implements PlantingAdvice {}
}
