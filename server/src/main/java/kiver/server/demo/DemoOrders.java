package kiver.server.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;

/** The wishes that reach the invented nursery through its winter and spring, from a seed. */
final class DemoOrders {

    private static final int UNTIL_THE_OPENING = 180;

    /** Those that come in on the day itself. */
    private static final int ON_THE_DAY = 5;

    /** One wish, by positions in the stock's lists. */
    record Wished(LocalDate placedOn, int grower, int variety, int plants, int weeksAhead) {}

    private DemoOrders() {}

    static List<Wished> between(LocalDate first, LocalDate opening) {
        SplittableRandom random = new SplittableRandom(2027);
        List<Wished> wishes = new ArrayList<>();
        List<DemoStock.VarietyEntry> varieties = DemoStock.varieties();
        int days = (int) (opening.toEpochDay() - first.toEpochDay());
        for (int index = 0; index < UNTIL_THE_OPENING + ON_THE_DAY; index++) {
            int variety = index % varieties.size();
            LocalDate placedOn = first.plusDays((long) index * days / UNTIL_THE_OPENING + random.nextInt(3));
            int plants = 10 * (3 + random.nextInt(index % 6 == 0 ? 30 : 15));
            int weeks = varieties.get(variety).weeksAhead() + random.nextInt(3);
            wishes.add(new Wished(
                    placedOn.isAfter(opening) ? opening : placedOn,
                    random.nextInt(DemoStock.growers().size()),
                    variety,
                    plants,
                    weeks));
        }
        wishes.sort(Comparator.comparing(Wished::placedOn));
        return wishes;
    }
}
