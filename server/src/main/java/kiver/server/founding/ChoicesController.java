package kiver.server.founding;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.batch.LossReason;
import kiver.core.batch.NameDoubt;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.crop.Hardiness;
import kiver.core.place.Place;
import kiver.core.place.PlaceUse;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import kiver.server.harden.ProgrammeBook;
import kiver.server.order.Grower;
import kiver.server.order.OrderBook;
import kiver.server.order.Site;
import kiver.server.place.PlaceBook;
import kiver.server.seed.SeedStore;
import kiver.server.sheet.Retired;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What forms offer to choose from. */
@RestController
class ChoicesController {

    private final OrderBook orders;
    private final CropBook crops;
    private final SeedStore seeds;
    private final PlaceBook places;
    private final ProgrammeBook programmes;
    private final Retired retired;
    private final NurseryClock clock;

    ChoicesController(
            OrderBook orders,
            CropBook crops,
            SeedStore seeds,
            PlaceBook places,
            ProgrammeBook programmes,
            Retired retired,
            NurseryClock clock) {
        this.orders = orders;
        this.crops = crops;
        this.seeds = seeds;
        this.places = places;
        this.programmes = programmes;
        this.retired = retired;
        this.clock = clock;
    }

    /** A crop. */
    record CropChoice(CropCode code, String name) {}

    /** A variety. */
    record VarietyChoice(long id, String name, String crop, boolean hardy) {}

    /** A container. */
    record ContainerChoice(ContainerCode code, String name, int cells, Container.Kind kind, double cellVolume) {}

    /** A seed lot. */
    record LotChoice(long id, String code, long varietyId, String supplier, double germinationLabel, int seedsLeft) {}

    /** A place. */
    record PlaceChoice(long id, String name, boolean forEmergence, boolean forGrowingOn, boolean forHardeningOff) {}

    /** A hardening programme by its code; its name is empty where it is a school. */
    record ProgrammeChoice(String programme, String name, int days) {}

    /** Everything to choose from. */
    record Choices(
            List<Grower> growers,
            List<Site> sites,
            List<CropChoice> crops,
            List<VarietyChoice> varieties,
            List<ContainerChoice> containers,
            List<LotChoice> lots,
            List<PlaceChoice> places,
            List<ProgrammeChoice> programmes,
            List<LossReason> lossReasons,
            List<NameDoubt> nameDoubts) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/choices")
    Choices choices() {
        return new Choices(
                orders.growers(),
                sites(),
                crops.cropsOffered().stream()
                        .map(crop -> new CropChoice(crop.code(), crop.name()))
                        .toList(),
                crops.varieties().stream()
                        .filter(variety -> !retired.is("varieties", variety.name()))
                        .map(variety -> choice(variety, crops.cropOf(variety)))
                        .toList(),
                crops.containersOffered().stream()
                        .map(ChoicesController::choice)
                        .toList(),
                seeds.lotsInUse().stream()
                        .map(lot -> new LotChoice(
                                lot.id().number(),
                                lot.code(),
                                lot.varietyId(),
                                lot.supplier(),
                                lot.germinationLabel(),
                                lot.seedsLeft()))
                        .toList(),
                places.places().stream()
                        .filter(place -> !place.exists().isOverOn(clock.today()))
                        .map(ChoicesController::choice)
                        .toList(),
                programmes.all().stream()
                        .map(programme -> new ProgrammeChoice(programme.code(), programme.name(), programme.days()))
                        .toList(),
                List.of(LossReason.values()),
                List.of(NameDoubt.values()));
    }

    private List<Site> sites() {
        Map<Long, String> growers = orders.growers().stream().collect(Collectors.toMap(Grower::id, Grower::name));
        return orders.sites().stream()
                .filter(site -> !retired.is("sites", growers.getOrDefault(site.growerId(), ""), site.name()))
                .toList();
    }

    private static VarietyChoice choice(Variety variety, Crop crop) {
        return new VarietyChoice(variety.id(), variety.name(), crop.name(), crop.hardiness() == Hardiness.HARDY);
    }

    private static ContainerChoice choice(Container container) {
        return new ContainerChoice(
                container.code(), container.name(), container.cells(), container.kind(), container.cellVolume());
    }

    private static PlaceChoice choice(Place place) {
        return new PlaceChoice(
                place.id().number(),
                place.name(),
                place.suits(PlaceUse.EMERGENCE),
                place.suits(PlaceUse.GROWING_ON),
                place.suits(PlaceUse.HARDENING_OFF));
    }
}
