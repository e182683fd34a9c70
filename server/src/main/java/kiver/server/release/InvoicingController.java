package kiver.server.release;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.CropCode;
import kiver.core.sheet.SheetRow;
import kiver.core.sheet.SheetText;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.batch.BatchBook;
import kiver.server.crop.CropBook;
import kiver.server.order.Order;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Prices, and what was handed over at them, as a file for whatever writes the invoices. */
@RestController
class InvoicingController {

    private static final List<String> COLUMNS = List.of(
            "note",
            "day",
            "order",
            "grower",
            "site",
            "line",
            "crop",
            "variety",
            "container",
            "plants",
            "price",
            "amount");

    private static final int MOST_DAYS = 400;

    private final PriceBook prices;
    private final ReleaseMapper mapper;
    private final ReleaseService releases;
    private final OrderBook orders;
    private final BatchBook batches;
    private final CropBook crops;

    InvoicingController(
            PriceBook prices,
            ReleaseMapper mapper,
            ReleaseService releases,
            OrderBook orders,
            BatchBook batches,
            CropBook crops) {
        this.prices = prices;
        this.mapper = mapper;
        this.releases = releases;
        this.orders = orders;
        this.batches = batches;
        this.crops = crops;
    }

    /** What a plant costs; missing where nobody set it. */
    record PriceView(
            CropCode crop,
            String cropName,
            ContainerCode container,
            String containerName,
            @Nullable Double price) {}

    /** A price to be set; missing to take it away. */
    record PriceEntry(
            @NotNull(message = "Choose a crop.") CropCode crop,
            @NotNull(message = "Choose a container.") ContainerCode container,

            @Nullable
            @DecimalMin(value = "0", message = "Enter 0 to 10,000.")
            @DecimalMax(value = "10000", message = "Enter 0 to 10,000.")
            Double price) {}

    @OpenTo(Callers.PROPAGATOR)
    @GetMapping("/api/prices")
    List<PriceView> all() {
        Map<PriceBook.Ware, Double> set = prices.all();
        return prices.wares().stream()
                .map(ware -> new PriceView(
                        ware.crop(),
                        crops.crop(ware.crop()).name(),
                        ware.container(),
                        crops.container(ware.container()).name(),
                        set.get(ware)))
                .toList();
    }

    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/prices")
    @Transactional
    public void set(@Valid @RequestBody PriceEntry entry) {
        crops.crop(entry.crop());
        crops.container(entry.container());
        prices.set(new PriceBook.Ware(entry.crop(), entry.container()), entry.price());
    }

    /** One row for each line of each note of some days; what was taken back is not in it, and what has no price has no amount. */
    @OpenTo(Callers.PROPAGATOR)
    @GetMapping(value = "/api/invoicing", produces = "text/csv")
    ResponseEntity<byte[]> invoicing(@RequestParam LocalDate from, @RequestParam LocalDate until) {
        if (until.isBefore(from) || from.plusDays(MOST_DAYS).isBefore(until)) {
            throw new Refusal("until", Said.of("Choose a last day after the first, within 400 days."));
        }
        Map<PriceBook.Ware, Double> set = prices.all();
        List<SheetRow> rows = new ArrayList<>();
        for (ReleaseMapper.ReleaseRow release : mapper.between(from, until)) {
            Order order = orders.order(release.orderNumber());
            releases.releases(List.of(order), batches.filesOnNote(release.number())).stream()
                    .filter(each -> each.number() == release.number())
                    .flatMap(each -> each.lines().stream())
                    .forEach(part -> rows.add(row(release, order, part, set)));
        }
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        "attachment; filename=\"handed-over-" + from + "-" + until + ".csv\"")
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(SheetText.written(COLUMNS, rows).getBytes(StandardCharsets.UTF_8));
    }

    private SheetRow row(
            ReleaseMapper.ReleaseRow release, Order order, Release.Part part, Map<PriceBook.Ware, Double> set) {
        OrderedLine line = order.line(part.line());
        Double price = set.get(new PriceBook.Ware(line.crop(), line.container()));
        return SheetText.row(
                COLUMNS,
                release.number(),
                release.day(),
                order.number(),
                order.grower(),
                order.site(),
                line.position(),
                crops.crop(line.crop()).name(),
                line.variety(),
                crops.container(line.container()).name(),
                part.plants(),
                price == null ? "" : price,
                price == null ? "" : Math.round(100 * price * part.plants()) / 100.0);
    }
}
