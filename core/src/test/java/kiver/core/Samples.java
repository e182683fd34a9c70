package kiver.core;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import kiver.core.crop.CellHabits;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.crop.Hardiness;
import kiver.core.crop.OutdoorNeeds;
import kiver.core.crop.PlantingOut;
import kiver.core.crop.SeedTraits;
import kiver.core.crop.Sources;
import kiver.core.crop.Thirst;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.growth.Emergence;
import kiver.core.growth.LeafGrowth;
import kiver.core.growth.Paces;
import kiver.core.growth.Scenario;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.order.LeafStage;
import kiver.core.order.OrderLine;
import kiver.core.order.OutdoorSeason;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.plan.ContainerPath;
import kiver.core.plan.PlanRequest;
import kiver.core.seed.Germination;
import kiver.core.sow.Allowances;
import kiver.core.weather.StationClimate;
import kiver.core.weather.StationRecord;
import kiver.core.weather.StationSimulator;

/** A small nursery, a crop and a season that several tests look at. */
public final class Samples {

    public static final LocalDate TODAY = LocalDate.of(2027, 3, 1);
    public static final Container MODULES =
            new Container(new ContainerCode("module-60"), "Module tray of 60", 6, 10, 50, 50, 1);
    public static final Container PLUGS =
            new Container(new ContainerCode("plug-150"), "Plug tray of 150", 10, 15, 16, 38, 1);
    public static final Container POTS =
            new Container(new ContainerCode("pot-7"), "Carrier of 28 pots", Container.Kind.POTS, 4, 7, 180, 65, 1);
    public static final Germination LOT = new Germination(90, 10);
    public static final StationRecord RECORD = StationSimulator.draw(
            new StationClimate(9, 10, 10, 3, 0.7), new SplittableRandom(9), LocalDate.of(1996, 1, 1), 11_400);
    public static final Way WAY = new Way(new PlaceId(1), new PlaceId(2), new PlaceId(3));
    public static final Season SEASON = season();

    private Samples() {}

    public static PlanRequest request(
            Crop crop, Container container, int plants, LocalDate target, int seeds, Germination lot) {
        OrderLine line = new OrderLine(plants, new LeafStage(4, 6), target);
        return new PlanRequest(
                line,
                crop,
                ContainerPath.straight(container),
                Optional.empty(),
                lot,
                seeds,
                Allowances.USUAL,
                0,
                3,
                TODAY);
    }

    public static PlanRequest at(OutdoorSeason outdoors, PlanRequest request) {
        return new PlanRequest(
                request.line(),
                request.crop(),
                request.containers(),
                Optional.of(outdoors),
                request.germination(),
                request.seedsInStock(),
                request.allowances(),
                request.seedsPerCell(),
                request.hardeningDays(),
                request.today());
    }

    public static List<Scenario> scenarios(Crop crop) {
        return SEASON.scenarios(WAY, crop.development(), Paces.BEFORE_ANY_COUNT);
    }

    public static Crop kale(double leafLimit) {
        return crop(leafLimit, 6, CardinalTemperatures.of(4.5, 28, 38));
    }

    /** Kale whose seed lies so many hours in water. */
    public static Crop soaked(int hours) {
        return with(kale(60), new SeedTraits(6, false, hours, false, false, 3.5));
    }

    /** Kale whose seed mice eat. */
    public static Crop eatenByMice() {
        return with(kale(60), new SeedTraits(6, false, 0, false, true, 3.5));
    }

    private static Crop with(Crop crop, SeedTraits seed) {
        return with(crop, crop.cells(), seed);
    }

    /** A crop with other habits in cells and other seed. */
    public static Crop with(Crop crop, CellHabits cells, SeedTraits seed) {
        return new Crop(
                crop.code(),
                crop.name(),
                crop.hardiness(),
                crop.emergence(),
                crop.leaves(),
                crop.growAt(),
                crop.leafLimit(),
                cells,
                seed,
                crop.outdoors(),
                crop.planting(),
                crop.sources());
    }

    public static Crop crop(double leafLimit, double depth, CardinalTemperatures emergence) {
        return crop("Kale", Hardiness.HARDY, leafLimit, depth, emergence, new OutdoorNeeds(0, -7, -3, 60));
    }

    public static Crop crop(
            String name,
            Hardiness hardiness,
            double leafLimit,
            double depth,
            CardinalTemperatures emergence,
            OutdoorNeeds outdoors) {
        return new Crop(
                new CropCode(name.toLowerCase(Locale.ROOT)),
                name,
                hardiness,
                new Emergence(emergence, 3.2, 0.18),
                new LeafGrowth(CardinalTemperatures.of(2, 22, 33), 0.26, 12),
                14,
                leafLimit,
                new CellHabits(400, CellHabits.Habit.WELL, 4, 1, Thirst.EVEN),
                new SeedTraits(depth, false, 0, false, false, 3.5),
                outdoors,
                new PlantingOut(45, "to the lowest leaves", ""),
                new Sources("test", "test"));
    }

    public static Place place(long id, int slots, PlaceClimate climate, PlaceUse... uses) {
        return new Place(new PlaceId(id), "Place " + id, (int) id, slots, climate, 0.8, 4, Set.of(uses));
    }

    /** A nursery whose growing place lets so much of the daylight in and has lamps of so many mol a day. */
    public static Season seasonInLight(double daylight, double lamps) {
        Place growing = new Place(
                WAY.growingOn(),
                "Shed",
                2,
                10,
                new PlaceClimate.SetPoints(17, 13),
                daylight,
                lamps,
                Set.of(PlaceUse.GROWING_ON));
        return new Season(
                List.of(
                        place(1, 10, new PlaceClimate.SetPoints(22, 20), PlaceUse.EMERGENCE),
                        growing,
                        place(3, 10, new PlaceClimate.FollowsWeather(0, 0, -60), PlaceUse.HARDENING_OFF)),
                weather(),
                Map.of(),
                46);
    }

    private static Season season() {
        List<Place> places = List.of(
                place(1, 10, new PlaceClimate.SetPoints(22, 20), PlaceUse.EMERGENCE),
                place(2, 10, new PlaceClimate.FollowsWeather(3, 6, 6), PlaceUse.GROWING_ON),
                place(3, 10, new PlaceClimate.FollowsWeather(0, 0, -60), PlaceUse.HARDENING_OFF));
        return new Season(places, weather(), Map.of(), 46);
    }

    public static List<StationRecord> weather() {
        return RECORD.scenarios(TODAY.minusDays(1), List.of(), TODAY.minusDays(30), TODAY.plusDays(200));
    }
}
