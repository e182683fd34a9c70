package kiver.core.outlook;

import java.util.Map;
import kiver.core.order.LineId;

/**
 * How likely a batch gives what is wanted of it, the coming night left out.
 *
 * @param enough that enough of its plants live, 0 to 1
 * @param byLine that each line it is promised to gets its plants whole and in time, 0 to 1, by the line
 */
public record Chances(double enough, Map<LineId, Double> byLine) {

    public Chances {
        byLine = Map.copyOf(byLine);
    }

    static final Chances NONE = new Chances(0, Map.of());
}
