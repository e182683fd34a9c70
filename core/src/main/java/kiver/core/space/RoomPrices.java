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

    /** All options and their stays in a row, since they are gone through hundreds of times. */
    private final int[] firstOption;

    private final int[] firstStay;
    private final double[] cost;
    private final int[] from;
    private final int[] until;
    private final double[] slots;

    RoomPrices(Benches benches) {
        this.benches = benches;
        places = benches.places();
        days = benches.days();
        price = new double[places * days];
        wanted = new double[places * days];
        sums = new double[places * (days + 1)];
        firstOption = new int[benches.batches() + 1];
        for (int batch = 0; batch < benches.batches(); batch++) {
            firstOption[batch + 1] = firstOption[batch] + benches.options(batch).length;
        }
        int options = firstOption[benches.batches()];
        cost = new double[options];
        firstStay = new int[options + 1];
        for (int batch = 0; batch < benches.batches(); batch++) {
            for (int option = 0; option < benches.options(batch).length; option++) {
                int index = firstOption[batch] + option;
                cost[index] = benches.options(batch)[option].cost();
                firstStay[index + 1] = firstStay[index] + benches.options(batch)[option].place().length;
            }
        }
        from = new int[firstStay[options]];
        until = new int[firstStay[options]];
        slots = new double[firstStay[options]];
        for (int batch = 0; batch < benches.batches(); batch++) {
            for (int option = 0; option < benches.options(batch).length; option++) {
                lay(benches.options(batch)[option], firstStay[firstOption[batch] + option]);
            }
        }
    }

    private void lay(Benches.Option option, int at) {
        for (int stay = 0; stay < option.place().length; stay++) {
            int row = option.place()[stay] * (days + 1);
            from[at + stay] = row + option.from()[stay];
            until[at + stay] = row + option.until()[stay];
            slots[at + stay] = option.slots()[stay];
        }
    }

    /** What an option of a batch costs with the room it takes. */
    double priced(int batch, int option) {
        int index = firstOption[batch] + option;
        double priced = cost[index];
        for (int stay = firstStay[index]; stay < firstStay[index + 1]; stay++) {
            priced += slots[stay] * (sums[until[stay]] - sums[from[stay]]);
        }
        return priced;
    }

    /** Lets every batch want what is best at the prices; answers the bound on any assignment that this proves. */
    double bound() {
        double lower = 0;
        double[] steps = new double[sums.length];
        for (int batch = 0; batch < benches.batches(); batch++) {
            int cheapest = 0;
            double least = Double.POSITIVE_INFINITY;
            for (int option = 0; option < firstOption[batch + 1] - firstOption[batch]; option++) {
                double priced = priced(batch, option);
                if (priced < least) {
                    least = priced;
                    cheapest = firstOption[batch] + option;
                }
            }
            lower += least;
            for (int stay = firstStay[cheapest]; stay < firstStay[cheapest + 1]; stay++) {
                steps[from[stay]] += slots[stay];
                steps[until[stay]] -= slots[stay];
            }
        }
        for (int place = 0; place < places; place++) {
            double running = 0;
            for (int day = 0; day < days; day++) {
                running += steps[place * (days + 1) + day];
                wanted[place * days + day] = running;
                lower -= price[place * days + day] * benches.capacity(place * days + day);
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
            double excess = wanted[index] - benches.capacity(index);
            if (excess > 0 || price[index] > 0) {
                norm += excess * excess;
            }
        }
        if (norm < 1e-12) {
            return false;
        }
        double length = step * Math.max(best - bound, 1e-3) / norm;
        for (int index = 0; index < wanted.length; index++) {
            double raised = price[index] + length * (wanted[index] - benches.capacity(index));
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
