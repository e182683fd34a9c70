package kiver.server.order;

import java.time.LocalDate;
import java.util.List;
import kiver.core.order.OrderLine;
import kiver.server.batch.Batch;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import org.springframework.stereotype.Component;

/** Keeps growers, sites and orders. */
@Component
public class OrderBook {

    private final OrderMapper mapper;

    OrderBook(OrderMapper mapper) {
        this.mapper = mapper;
    }

    /** All orders, soonest target first. */
    public List<Order> orders() {
        return mapper.all();
    }

    /** The orders of one grower. */
    public List<Order> ordersOf(long growerId) {
        return mapper.ofGrower(growerId);
    }

    /** The order of that number. */
    public Order order(int number) {
        return mapper.byNumber(number).orElseThrow(() -> new NotFound("order " + number));
    }

    /** The order of that number, held until the transaction ends. */
    public Order orderToReleaseFor(int number) {
        mapper.lock(number);
        return order(number);
    }

    /** The site of that number. */
    public Site site(long siteId) {
        return mapper.site(siteId).orElseThrow(() -> new Refusal("siteId", "Choose one of the grower's sites."));
    }

    /** Lets one booking at a time through, until its transaction ends. */
    public void lockBookings() {
        mapper.lockBookings();
    }

    /** A number that the parts of a succession share. */
    public int nextSuccession() {
        return mapper.nextSuccession();
    }

    /** Moves the day on which an order is wanted. */
    public void moveTarget(int number, LocalDate target) {
        mapper.moveTarget(number, target);
    }

    /** Leaves an order with fewer plants; the rest is ordered anew. */
    public void reduce(int number, int plants) {
        mapper.setPlants(number, plants);
    }

    /**
     * Takes an order and answers its number.
     *
     * @param countedIn what the number ordered counts
     * @param succession shared by parts of a succession, or null
     */
    public int add(
            long growerId, long siteId, long varietyId, String container, OrderLine line, Batch.CountedIn countedIn,
            LocalDate placedOn, Integer succession) {
        Site site = site(siteId);
        if (site.growerId() != growerId) {
            throw new Refusal("siteId", "The site " + site.name() + " belongs to another grower.");
        }
        return mapper.insert(new OrderMapper.OrderRow(
                growerId, siteId, varietyId, container, line.plants(), line.stage().from(), line.stage().to(),
                line.target(), placedOn, line.under(), countedIn, succession));
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
            throw new Refusal("grower", "There is a grower named \"" + name + "\" already.");
        }
        return id;
    }

    /** Adds a site; its number in {@code site} is not used. Answers its number. */
    public long addSite(Site site) {
        Long id = mapper.insertSite(site);
        if (id == null) {
            throw new Refusal("site", "This grower has a site named \"" + site.name() + "\" already.");
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
