package kiver.core.space;

/**
 * Prices on the room of every place and day, raised where more is wanted than there is. At any prices what batches
 * would choose for themselves proves how good an assignment could be at best. Reference: Lagrangian relaxation with
 * subgradient prices, Fisher (1981), Management Science 27.
 */
final class RoomPrices {

    private final Benches benches;
    private final int places;
    private final int days;
    private final double[] price;
    private final double[] wanted;

    /** Prices summed from the first day on, with one entry more than days for each place. */
    private final double[] sums;

    RoomPrices(Benches benches) {
        this.benches = benches;
        places = benches.places();
        days = benches.days();
        price = new double[places * days];
        wanted = new double[places * days];
        sums = new double[places * (days + 1)];
    }

    /** What an option costs with the room it takes. */
    double priced(Benches.Option option) {
        double cost = option.cost();
        for (int stay = 0; stay < option.place().length; stay++) {
            int row = option.place()[stay] * (days + 1);
            cost += option.slots()[stay] * (sums[row + option.until()[stay]] - sums[row + option.from()[stay]]);
        }
        return cost;
    }

    /** Lets every batch want what is best at the prices; answers the bound on any assignment that this proves. */
    double bound() {
        double lower = 0;
        double[] steps = new double[places * (days + 1)];
        for (int batch = 0; batch < benches.batches(); batch++) {
            Benches.Option cheapest = null;
            double least = Double.POSITIVE_INFINITY;
            for (Benches.Option option : benches.options(batch)) {
                double cost = priced(option);
                if (cost < least) {
                    least = cost;
                    cheapest = option;
                }
            }
            lower += least;
            for (int stay = 0; stay < cheapest.place().length; stay++) {
                int row = cheapest.place()[stay] * (days + 1);
                steps[row + cheapest.from()[stay]] += cheapest.slots()[stay];
                steps[row + cheapest.until()[stay]] -= cheapest.slots()[stay];
            }
        }
        for (int place = 0; place < places; place++) {
            double running = 0;
            for (int day = 0; day < days; day++) {
                running += steps[place * (days + 1) + day];
                wanted[place * days + day] = running;
                lower -= price[place * days + day] * benches.capacity(place);
            }
        }
        return lower;
    }

    /**
     * Raises prices where too much is wanted and lowers them where room is left over.
     *
     * @param step share of the way between bound and best to go
     * @param best total of an assignment that was found
     * @param bound that was proven at the present prices
     * @return false when nothing is over-full at these prices and none is to be lowered
     */
    boolean raise(double step, double best, double bound) {
        double norm = 0;
        for (int index = 0; index < wanted.length; index++) {
            double excess = wanted[index] - benches.capacity(index / days);
            if (excess > 0 || price[index] > 0) {
                norm += excess * excess;
            }
        }
        if (norm < 1e-12) {
            return false;
        }
        double length = step * Math.max(best - bound, 1e-3) / norm;
        for (int index = 0; index < wanted.length; index++) {
            double raised = price[index] + length * (wanted[index] - benches.capacity(index / days));
            price[index] = Math.min(Assignment.OVERFLOW_COST, Math.max(0, raised));
        }
        for (int place = 0; place < places; place++) {
            int row = place * (days + 1);
            for (int day = 0; day < days; day++) {
                sums[row + day + 1] = sums[row + day] + price[place * days + day];
            }
        }
        return true;
    }
}
