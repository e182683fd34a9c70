package kiver.server.order;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import kiver.server.problem.NotFound;
import kiver.server.wording.Said;

/**
 * What a grower asked for at one time, to be handed over together.
 *
 * @param id in the database
 * @param number as written, from 101
 * @param growerId who ordered
 * @param grower name
 * @param siteId of the site
 * @param site name
 * @param altitude of the site, m
 * @param target day on which the plants are wanted
 * @param placedOn day on which the order was taken
 * @param succession shared by parts of a succession or standing order; null for an order by itself
 * @param lines in the order of their positions, cancelled ones among them
 */
public record Order(
        long id,
        int number,
        long growerId,
        String grower,
        long siteId,
        String site,
        int altitude,
        LocalDate target,
        LocalDate placedOn,
        Integer succession,
        List<OrderedLine> lines) {

    public Order {
        lines = lines.stream()
                .sorted(Comparator.comparingInt(OrderedLine::position))
                .toList();
    }

    /** The line at that position. */
    public OrderedLine line(int position) {
        return lines.stream()
                .filter(each -> each.position() == position)
                .findFirst()
                .orElseThrow(() -> new NotFound(Said.of("There is no line {position} of order {number}.")
                        .with("position", position)
                        .with("number", number)));
    }

    /** The lines that are still wanted. */
    public List<OrderedLine> wanted() {
        return lines.stream().filter(line -> line.cancelledOn() == null).toList();
    }
}
