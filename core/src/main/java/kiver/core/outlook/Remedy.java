package kiver.core.outlook;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import kiver.core.place.PlaceId;

/** What can be done for a batch whose day moves, or that will not keep it. */
public sealed interface Remedy {

    /** Leave it as it is, for the day that is wanted now. */
    record Keep() implements Remedy {}

    /**
     * Stand it cooler, so that it waits.
     *
     * @param place where
     * @param byKelvin that it is cooler there in the mean, positive
     * @param ready most likely then; empty where that is not this season
     */
    record Hold(PlaceId place, double byKelvin, Optional<LocalDate> ready) implements Remedy {
        public Hold {
            Objects.requireNonNull(place);
            Objects.requireNonNull(ready);
        }
    }

    /**
     * Stand it warmer, so that it hurries.
     *
     * @param place where
     * @param byKelvin that it is warmer there in the mean, 0 or more
     * @param ready most likely then; empty where that is not this season
     */
    record BringOn(PlaceId place, double byKelvin, Optional<LocalDate> ready) implements Remedy {
        public BringOn {
            Objects.requireNonNull(place);
            Objects.requireNonNull(ready);
        }
    }

    /** Sow it on another day than planned; for what is not sown yet. */
    record SowOn(LocalDate day, LocalDate before) implements Remedy {}

    /** Give this batch to the orders of another, wanted on a day by some growers, and take that one's. */
    record Swap(int batch, List<String> growers, LocalDate day) implements Remedy {
        public Swap {
            growers = List.copyOf(growers);
            Objects.requireNonNull(day);
        }
    }

    /** Hand over what is alive on the day and grow the rest anew for later. */
    record Split(int alive, int rest) implements Remedy {}

    /** Agree on another day with the growers; none where it is for nobody yet. */
    record OtherDay(List<String> growers, LocalDate day) implements Remedy {
        public OtherDay {
            growers = List.copyOf(growers);
            Objects.requireNonNull(day);
        }
    }
}
