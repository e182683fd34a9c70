package kiver.server.promise;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kiver.core.crop.ContainerCode;
import kiver.core.order.OrderLine;
import kiver.core.sheet.Column;
import kiver.core.sheet.SheetRow;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import kiver.server.order.Grower;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.order.Site;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.sheet.SheetBook;
import kiver.server.sheet.SheetFiles;
import kiver.server.wording.Said;
import org.springframework.http.MediaType;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * Orders out of any spreadsheet. They are only looked over here: what was understood becomes wishes by grower and site, each of
 * which is then planned and taken as any order is.
 */
@RestController
class OrderFileController {

    private static final int MOST_LINES = 600;

    private static final SheetBook.Shape SHAPE = new SheetBook.Shape(
            "order_lines",
            3,
            List.of(
                    Column.of("variety"),
                    Column.of("plants"),
                    Column.day("target"),
                    Column.of("container").orNone(),
                    Column.of("leaves_from").orNone(),
                    Column.of("leaves_to").orNone(),
                    Column.of("grower").orNone(),
                    Column.of("site").orNone()));

    private final SheetFiles files;
    private final CropBook crops;
    private final UsualRaising usual;
    private final OrderBook orders;
    private final NurseryClock clock;

    OrderFileController(SheetFiles files, CropBook crops, UsualRaising usual, OrderBook orders, NurseryClock clock) {
        this.files = files;
        this.crops = crops;
        this.usual = usual;
        this.orders = orders;
        this.clock = clock;
    }

    /**
     * A line of the file.
     *
     * @param line of the file
     * @param ordered number of an order that has the same line already, for the same site; null where none has
     */
    record LineFound(
            long line, String variety, Wish wish, @Nullable Integer ordered) {}

    /**
     * What one grower wants at one site.
     *
     * @param growerId null where the file does not say it
     * @param siteId null where the file does not say it and the grower has several
     */
    record OrderFound(@Nullable Long growerId, @Nullable Long siteId, List<LineFound> lines) {}

    /** What was made of a file, and the orders in it. */
    record OrderFileReading(SheetFiles.SheetReading file, List<OrderFound> orders) {}

    private record Whose(@Nullable Long growerId, @Nullable Long siteId) {}

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping(value = "/api/orders/file", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @Transactional
    public OrderFileReading read(
            @RequestParam String file,
            SheetFiles.Chosen chosen,
            @RequestBody(required = false) @Nullable byte[] bytes) {
        SheetFiles.Opened opened = files.open(SHAPE, file, bytes, chosen);
        if (opened.lackingKey().isPresent()) {
            return new OrderFileReading(opened.reading(false, 0, 0, List.of()), List.of());
        }
        List<SheetFiles.SaidRow> rows = opened.rows();
        if (rows.size() > MOST_LINES) {
            throw new Refusal(
                    "file",
                    Said.of("A file of orders has at most {most} lines, not {lines}. Divide it.")
                            .with("most", MOST_LINES)
                            .with("lines", rows.size()));
        }
        List<SheetFiles.RowFault> faults = new ArrayList<>();
        Map<Whose, List<LineFound>> found = new LinkedHashMap<>();
        Reader reader = new Reader();
        for (SheetFiles.SaidRow row : rows) {
            try {
                Whose whose = reader.whose(row.said());
                found.computeIfAbsent(whose, each -> new ArrayList<>()).add(reader.line(row, whose));
            } catch (Refusal refused) {
                faults.add(new SheetFiles.RowFault(row.line(), refused.said()));
            } catch (IllegalArgumentException wrong) {
                faults.add(new SheetFiles.RowFault(row.line(), opened.fault(wrong)));
            }
        }
        if (chosen.matching() != null && faults.isEmpty()) {
            opened.remember();
        }
        return new OrderFileReading(
                opened.reading(false, rows.size() - faults.size(), 0, faults),
                found.entrySet().stream()
                        .flatMap(each -> orders(each.getKey(), each.getValue()))
                        .toList());
    }

    /** An order has only so many lines; what is more becomes another. */
    private static Stream<OrderFound> orders(Whose whose, List<LineFound> lines) {
        return IntStream.rangeClosed(0, (lines.size() - 1) / PromiseController.OrderEntry.MOST_LINES)
                .mapToObj(order -> new OrderFound(
                        whose.growerId(),
                        whose.siteId(),
                        lines.subList(
                                order * PromiseController.OrderEntry.MOST_LINES,
                                Math.min(lines.size(), (order + 1) * PromiseController.OrderEntry.MOST_LINES))));
    }

    /** Reads row after row against what the nursery knows. */
    private final class Reader {

        private final List<Variety> varieties = crops.varieties();
        private final List<Grower> growers = orders.growers();
        private final List<Site> sites = orders.sites();
        private final LocalDate today = clock.today();

        Whose whose(SheetRow row) {
            String name = row.text("grower");
            if (name.isEmpty()) {
                return new Whose(null, null);
            }
            Grower grower = growers.stream()
                    .filter(each -> each.name().equalsIgnoreCase(name))
                    .findFirst()
                    .orElseThrow(() -> new Refusal(
                            "grower",
                            Said.of("There is no grower \"{name}\". Add them first, or mend the name.")
                                    .with("name", name)));
            List<Site> own = sites.stream()
                    .filter(site -> site.growerId() == grower.id())
                    .toList();
            String place = row.text("site");
            if (place.isEmpty()) {
                return new Whose(grower.id(), own.size() == 1 ? own.get(0).id() : null);
            }
            return own.stream()
                    .filter(site -> site.name().equalsIgnoreCase(place))
                    .findFirst()
                    .map(site -> new Whose(grower.id(), site.id()))
                    .orElseThrow(() -> new Refusal(
                            "site",
                            Said.of("{grower} has no site \"{name}\".")
                                    .with("grower", grower.name())
                                    .with("name", place)));
        }

        LineFound line(SheetFiles.SaidRow row, Whose whose) {
            Variety variety = variety(row.said().words("variety"));
            int plants = row.said().wholeNumber("plants");
            if (plants < 1 || plants > OrderLine.MOST_PLANTS) {
                throw new Refusal(
                        "plants",
                        Said.of("{plants} plants are no order; write 1 to {most}.")
                                .with("plants", plants)
                                .with("most", OrderLine.MOST_PLANTS));
            }
            Wish wish = wish(row.said(), variety, plants);
            // What cannot be an order at all is told at its line; whether it can be had is asked when it is planned.
            wish.line(today);
            return new LineFound(
                    row.line(),
                    variety.name(),
                    whose.siteId() == null ? wish : wish.at(whose.siteId()),
                    ordered(wish, whose).orElse(null));
        }

        private Wish wish(SheetRow row, Variety variety, int plants) {
            UsualRaising.Raised raised = usual.of(crops.cropOf(variety), container(row.text("container")));
            int most = row.text("leaves_to").isEmpty() ? raised.leavesTo() : row.wholeNumber("leaves_to");
            int fewest = row.text("leaves_from").isEmpty()
                    ? Math.min(raised.leavesFrom(), most)
                    : row.wholeNumber("leaves_from");
            return new UsualRaising.Raised(raised.container(), fewest, most)
                    .wish(variety.id(), plants, row.day("target"));
        }

        private Variety variety(String name) {
            return varieties.stream()
                    .filter(each -> each.name().equalsIgnoreCase(name))
                    .findFirst()
                    .orElseThrow(() -> new Refusal(
                            "variety",
                            Said.of("There is no variety \"{name}\" here. Take in its packet first, or mend the name.")
                                    .with("name", name)));
        }

        private @Nullable ContainerCode container(String called) {
            if (called.isEmpty()) {
                return null;
            }
            return crops.containers().stream()
                    .filter(each -> each.code().written().equalsIgnoreCase(called)
                            || each.name().equalsIgnoreCase(called))
                    .findFirst()
                    .orElseThrow(() -> new Refusal(
                            "container",
                            Said.of("There is no container \"{name}\".").with("name", called)))
                    .code();
        }

        private Optional<Integer> ordered(Wish wish, Whose whose) {
            return whose.growerId() == null
                    ? Optional.empty()
                    : orders.ordersOf(whose.growerId()).stream()
                            .flatMap(order -> order.wanted().stream())
                            .filter(line -> whose.siteId() == null || line.siteId() == whose.siteId())
                            .filter(line -> same(line, wish))
                            .map(OrderedLine::orderNumber)
                            .findFirst();
        }

        private static boolean same(OrderedLine line, Wish wish) {
            return line.varietyId() == wish.varietyId()
                    && line.plants() == wish.plants()
                    && line.target().equals(wish.target());
        }
    }
}
