package kiver.server.demo;

import java.time.LocalDate;
import java.util.Optional;
import kiver.core.outlook.Promised;
import kiver.server.play.HandsWays;
import kiver.server.stock.MixLot;
import org.springframework.stereotype.Component;

/** How things are done in the invented nursery. */
@Component
class DemoWays implements HandsWays {

    /** In the days before the opening nobody finds the time to pot on; whoever opens the demonstration does. */
    private static final int DAYS_WITHOUT_POTTING = 5;

    private static final int DAYS_BEFORE_THE_ROUND = 4;

    private final DemoMixing mixing;
    private final DemoWater water;

    DemoWays(DemoMixing mixing, DemoWater water) {
        this.mixing = mixing;
        this.water = water;
    }

    @Override
    public Optional<MixLot> mixForSowing(int batch, boolean blocks, double litres, LocalDate today) {
        return Optional.of(mixing.forSowing(batch, blocks, litres, today));
    }

    @Override
    public Optional<MixLot> mixForPots(double litres, LocalDate today) {
        return Optional.of(mixing.forPots(litres, today));
    }

    @Override
    public void water() {
        water.walk();
    }

    @Override
    public boolean findsTimeToPot(LocalDate today) {
        LocalDate opening = DemoNursery.OPENING_DAY;
        return !today.isBefore(opening) || today.isBefore(opening.minusDays(DAYS_WITHOUT_POTTING));
    }

    /** What is wanted just before the day on which the demonstration opens waits for that day's round of delivery. */
    @Override
    public boolean waitsForTheRound(Promised promise, LocalDate today) {
        LocalDate opening = DemoNursery.OPENING_DAY;
        return today.isBefore(opening) && !promise.target().isBefore(opening.minusDays(DAYS_BEFORE_THE_ROUND));
    }

    /** What the last night has done, whoever opens the demonstration goes and looks. */
    @Override
    public boolean seesToTheNight(LocalDate today) {
        return !today.equals(DemoNursery.OPENING_DAY.minusDays(1));
    }
}
