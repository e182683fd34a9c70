package kiver.server.order;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.order.Protection;
import kiver.core.sheet.Column;
import kiver.core.sheet.SheetRow;
import kiver.core.sheet.SheetText;
import kiver.server.problem.Refusal;
import kiver.server.sheet.SheetBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** The growers and their sites as a sheet. */
@Component
class SiteSheetBook implements SheetBook {

    private static final List<String> PROTECTIONS = List.of("open ground", "low cover", "unheated tunnel");

    private static final Shape SHAPE = new Shape(
            "sites",
            2,
            List.of(
                    Column.of("grower"),
                    Column.of("site"),
                    Column.of("altitude"),
                    Column.choice("protection", "open ground", "low cover", "unheated tunnel"),
                    Column.of("temperature_offset")));

    private final OrderBook orders;

    SiteSheetBook(OrderBook orders) {
        this.orders = orders;
    }

    @Override
    public Shape shape() {
        return SHAPE;
    }

    @Override
    public List<SheetRow> rows() {
        Map<Long, String> growers = orders.growers().stream().collect(Collectors.toMap(Grower::id, Grower::name));
        return orders.sites().stream()
                .map(site -> SheetText.row(
                        SHAPE.names(),
                        growers.get(site.growerId()),
                        site.name(),
                        site.altitude(),
                        site.protection().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                        site.temperatureOffset() == null ? "" : site.temperatureOffset()))
                .toList();
    }

    @Override
    public void put(SheetRow row) {
        String name = row.words("grower");
        int altitude = row.wholeNumber("altitude");
        if (altitude < -400 || altitude > 5000) {
            throw new Refusal(
                    "altitude",
                    Said.of("Enter −400 to 5,000 m, not {altitude}.").with("altitude", altitude));
        }
        Protection protection = Protection.valueOf(
                row.oneOf("protection", PROTECTIONS).toUpperCase(Locale.ROOT).replace(' ', '_'));
        Double offset = row.text("temperature_offset").isEmpty() ? null : row.number("temperature_offset");
        if (offset != null && Math.abs(offset) > 25) {
            throw new Refusal(
                    "temperature_offset",
                    Said.of("Enter −25 to 25 K, not {offset}.").with("offset", offset));
        }
        String site = row.words("site");
        long grower = orders.growers().stream()
                .filter(each -> each.name().equalsIgnoreCase(name))
                .map(Grower::id)
                .findFirst()
                .orElseGet(() -> orders.addGrower(name));
        orders.putSite(new Site(0, grower, site, altitude, protection, offset));
    }
}
