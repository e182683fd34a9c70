package kiver.server.order;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kiver.core.crop.ContainerCode;
import kiver.core.order.LineId;
import kiver.core.order.OrderLine;
import kiver.core.order.Protection;
import kiver.server.batch.PutAway;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** Keeps growers, sites and orders. */
@Component
public class OrderBook {

    private final OrderMapper mapper;

    OrderBook(OrderMapper mapper) {
        this.mapper = mapper;
    }

    /** The orders of which anything was wanted on one of these days, soonest target first. */
    public List<Order> wanted(LocalDate first, LocalDate last) {
        return withLines(mapper.wanted(first, last));
    }

    /** The orders of which something may still have to go, from a day on or of a batch that is in hand; soonest target first. */
    public List<Order> open(LocalDate first, PutAway away) {
        return withLines(mapper.open(first, away));
    }

    /** The day for which the first order was taken, if any was. */
    public Optional<LocalDate> firstTarget() {
        return Optional.ofNullable(mapper.firstTarget());
    }

    /** The orders of one grower. */
    public List<Order> ordersOf(long growerId) {
        return withLines(mapper.ofGrower(growerId));
    }

    /** The order of that number. */
    public Order order(int number) {
        OrderMapper.OrderRow row = mapper.byNumber(number)
                .orElseThrow(() ->
                        new NotFound(Said.of("There is no order {number}.").with("number", number)));
        return row.with(mapper.linesOf(row.id()));
    }

    /** The order of that number, held until the transaction ends. */
    public Order orderHeld(int number) {
        mapper.lock(number);
        return order(number);
    }

    /** The lines of orders that were taken on a day or since. */
    public List<OrderedLine> linesTakenSince(LocalDate day) {
        return mapper.takenSince(day);
    }

    /** The line of that number in the database. */
    public OrderedLine line(LineId id) {
        return mapper.line(id).orElseThrow(() -> new NotFound(Said.of("There is no such line.")));
    }

    /** What became of some orders since they were taken, by the order's number in the database. */
    public Map<Long, List<OrderChange>> changes(Collection<Order> orders) {
        return mapper.changes(orders.stream().map(Order::id).toArray(Long[]::new)).stream()
                .collect(Collectors.groupingBy(OrderChange::orderId));
    }

    private List<Order> withLines(List<OrderMapper.OrderRow> rows) {
        Map<Long, List<OrderedLine>> lines =
                mapper.linesOfAll(rows.stream().map(OrderMapper.OrderRow::id).toArray(Long[]::new)).stream()
                        .collect(Collectors.groupingBy(OrderedLine::orderId));
        return rows.stream()
                .map(row -> row.with(lines.getOrDefault(row.id(), List.of())))
                .toList();
    }

    /** The site of that number. */
    public Site site(long siteId) {
        return mapper.site(siteId)
                .orElseThrow(() -> new Refusal("siteId", Said.of("Choose one of the grower's sites.")));
    }

    /** Lets one booking at a time through, until its transaction ends. */
    public void lockBookings() {
        mapper.lockBookings();
    }

    /** A number that the parts of a succession share. */
    public int nextSuccession() {
        return mapper.nextSuccession();
    }

    /** Moves the day on which a line is wanted; the order's own day follows when all its lines agree on another. */
    public void moveLine(OrderedLine line, LocalDate target, LocalDate day, Long by) {
        if (target.equals(line.target())) {
            return;
        }
        mapper.moveLine(line.id(), target);
        mapper.followLines(line.orderNumber());
        mapper.insertChange(
                line.id(), day, by, OrderChange.Kind.DAY_MOVED, line.target().toString(), target.toString());
    }

    /** Changes how many plants a line asks for. */
    public void setPlants(OrderedLine line, int plants, LocalDate day, Long by) {
        if (plants == line.plants()) {
            return;
        }
        mapper.setPlants(line.id(), plants);
        mapper.insertChange(
                line.id(),
                day,
                by,
                OrderChange.Kind.PLANTS_CHANGED,
                String.valueOf(line.plants()),
                String.valueOf(plants));
    }

    /** A line is not wanted any more; it stays readable. */
    public void cancel(OrderedLine line, LocalDate day, Long by) {
        if (mapper.cancel(line.id(), day) == 1) {
            mapper.insertChange(
                    line.id(), day, by, OrderChange.Kind.LINE_CANCELLED, String.valueOf(line.plants()), null);
            mapper.followLines(line.orderNumber());
        }
    }

    /**
     * Takes an order without lines yet and answers its number.
     *
     * @param target day on which it is wanted
     * @param succession shared by parts of a succession, or null
     */
    public int add(long growerId, long siteId, LocalDate target, LocalDate placedOn, Integer succession) {
        Site site = site(siteId);
        if (site.growerId() != growerId) {
            throw new Refusal(
                    "siteId",
                    Said.of("The site {site} belongs to another grower.").with("site", site.name()));
        }
        return mapper.insert(growerId, siteId, target, placedOn, succession);
    }

    /** Adds a line to an order and answers its number in the database. */
    public LineId addLine(
            int number, long varietyId, ContainerCode container, OrderLine line, @Nullable Protection protection) {
        return mapper.insertLine(new OrderMapper.LineRow(
                number,
                varietyId,
                container,
                line.plants(),
                line.stage().from(),
                line.stage().to(),
                line.target(),
                line.under(),
                line.countedIn(),
                protection));
    }

    /** Notes something else that became of a line. */
    public void note(OrderedLine line, OrderChange.Kind kind, String before, String after, LocalDate day, Long by) {
        mapper.insertChange(line.id(), day, by, kind, before, after);
    }

    /** Notes that a line was added to an order that had been taken before. */
    public void noteAdded(OrderedLine line, LocalDate day, Long by) {
        mapper.insertChange(line.id(), day, by, OrderChange.Kind.LINE_ADDED, null, String.valueOf(line.plants()));
    }

    /** All growers by name. */
    public List<Grower> growers() {
        return mapper.growers();
    }

    /** All sites. */
    public List<Site> sites() {
        return mapper.sites();
    }

    /** Adds a grower and answers its number. */
    public long addGrower(String name) {
        Long id = mapper.insertGrower(name);
        if (id == null) {
            throw new Refusal(
                    "grower",
                    Said.of("There is a grower named \"{name}\" already.").with("name", name));
        }
        return id;
    }

    /** Adds a site; its number in {@code site} is not used. Answers its number. */
    public long addSite(Site site) {
        Long id = mapper.insertSite(site);
        if (id == null) {
            throw new Refusal(
                    "site",
                    Said.of("This grower has a site named \"{site}\" already.").with("site", site.name()));
        }
        return id;
    }

    /** Adds a site or changes the one of that grower and name. */
    public void putSite(Site site) {
        if (mapper.updateSite(site) == 0) {
            mapper.insertSite(site);
        }
    }
}
