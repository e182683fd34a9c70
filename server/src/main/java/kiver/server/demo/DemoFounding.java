package kiver.server.demo;

import java.util.HashMap;
import java.util.Map;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.seed.LotId;
import kiver.server.account.AccountMapper;
import kiver.server.account.Role;
import kiver.server.clock.Nursery;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.media.MediaBook;
import kiver.server.order.OrderBook;
import kiver.server.order.Site;
import kiver.server.place.DeviceBook;
import kiver.server.place.PlaceBook;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.stock.StoreSpots;
import kiver.server.today.HandsBook;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Founds the invented nursery: its places, seed, growers and people. */
@Component
class DemoFounding {

    /** Known to everybody who reads the start command's output; the demonstration listens on this machine only. */
    private static final String PASSWORD = "demo-seedlings";

    /** g for a thousand seeds; smaller packets stand on top. */
    private static final double FINE_SEED = 1;

    private final NurseryClock clock;
    private final PlaceBook places;
    private final DeviceBook devices;
    private final CropBook crops;
    private final SeedStore seeds;
    private final OrderBook orders;
    private final HandsBook hands;
    private final AccountMapper accounts;
    private final PasswordEncoder encoder;
    private final DemoMixing mixing;
    private final MediaBook media;
    private final StoreSpots store;

    DemoFounding(
            NurseryClock clock,
            PlaceBook places,
            DeviceBook devices,
            CropBook crops,
            SeedStore seeds,
            OrderBook orders,
            HandsBook hands,
            AccountMapper accounts,
            PasswordEncoder encoder,
            DemoMixing mixing,
            MediaBook media,
            StoreSpots store) {
        this.media = media;
        this.store = store;
        this.mixing = mixing;
        this.clock = clock;
        this.places = places;
        this.devices = devices;
        this.crops = crops;
        this.seeds = seeds;
        this.orders = orders;
        this.hands = hands;
        this.accounts = accounts;
        this.encoder = encoder;
    }

    private Crop cropOf(DemoStock.LotEntry lot, Map<String, Long> varieties) {
        return crops.cropOf(crops.variety(varieties.get(lot.variety())));
    }

    void found() {
        clock.open(new Nursery(
                DemoStock.NURSERY,
                DemoStock.LATITUDE,
                DemoStock.STATION_ALTITUDE,
                true,
                DemoNursery.FIRST_DAY,
                DemoStock.TELEPHONE,
                DemoStock.TIME_ZONE));
        DemoNursery.FIRST_DAY
                .datesUntil(DemoNursery.FIRST_DAY.plusDays(7))
                .forEach(day -> hands.set(day, DemoStock.minutesOfHands(day.getDayOfWeek()), true));
        DemoStock.places().forEach(entry -> places.add(entry.place(), entry.caution()));
        places.places()
                .forEach(place -> devices.addSimulated(
                        "Probe in " + place.name(), place.id().number()));
        Map<String, Long> varieties = new HashMap<>();
        DemoStock.varieties()
                .forEach(entry -> varieties.put(entry.name(), crops.add(new CropCode(entry.crop()), entry.name())));
        DemoStock.lots(DemoNursery.OPENING_DAY)
                .forEach(entry -> seeds.add(new SeedLot(
                        new LotId(0),
                        entry.code(),
                        varieties.get(entry.variety()),
                        entry.supplier(),
                        entry.label(),
                        entry.tested(),
                        entry.testedOn(),
                        entry.seeds(),
                        entry.seeds())));
        DemoStock.lots(DemoNursery.OPENING_DAY)
                .forEach(entry -> seeds.sayOf(entry.code(), DemoStock.packet(entry, cropOf(entry, varieties))));
        long firstGrower = 0;
        for (DemoStock.GrowerEntry entry : DemoStock.growers()) {
            long grower = orders.addGrower(entry.name());
            orders.addSite(new Site(0, grower, entry.site(), entry.altitude(), entry.protection(), null));
            firstGrower = firstGrower == 0 ? grower : firstGrower;
        }
        mixing.found();
        keepInStore();
        String hash = encoder.encode(PASSWORD);
        accounts.insert("propagator@quillmere.example", "Maro Tindle", hash, Role.PROPAGATOR, null);
        accounts.insert("hand@quillmere.example", "Pell Oskway", hash, Role.BENCH_HAND, null);
        accounts.insert("grower@lowermead.example", "Ansa Brell", hash, Role.GROWER, firstGrower);
        accounts.insert("grower@fennick.example", "Tove Garrin", hash, Role.GROWER, firstGrower + 1);
    }

    /** Past the tray rack by the door to the mixing bay, and back by the seed cupboard. */
    private void keepInStore() {
        crops.containers()
                .forEach(container -> store.keep(
                        new StoreSpots.Thing(
                                StoreSpots.Kind.CONTAINER, container.code().written()),
                        container.kind() == Container.Kind.POTS ? "Pot shelf" : "Tray rack"));
        media.recipes()
                .forEach(kept -> store.keep(
                        new StoreSpots.Thing(
                                StoreSpots.Kind.MIX, kept.recipe().code().written()),
                        "Mixing bay"));
        seeds.lots()
                .forEach(lot -> store.keep(
                        new StoreSpots.Thing(StoreSpots.Kind.PACKET, lot.code()),
                        crops.cropOf(crops.variety(lot.varietyId())).seed().thousandSeedWeight() < FINE_SEED
                                ? "Seed cupboard, top"
                                : "Seed cupboard, below"));
    }
}
