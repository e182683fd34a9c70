package kiver.server.demo;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.SplittableRandom;
import kiver.core.crop.Crop;
import kiver.core.order.Protection;
import kiver.core.place.Lamps;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceLight;
import kiver.core.place.PlaceUse;
import kiver.core.seed.PacketSays;

/** What the invented nursery has: places, growers, varieties and seed. All names are made up. */
final class DemoStock {

    static final String TELEPHONE = "000 555 0142";

    /** Its clock stands still at the hour of the round. */
    static final String TIME_ZONE = "UTC";

    static final String NURSERY = "Quillmere Valley Nursery";
    static final double LATITUDE = 46.4;
    static final int STATION_ALTITUDE = 600;

    private static final String ELECTRIC =
            "Heat mats, lamps and water: use residual-current protection and keep cords off the floor. "
                    + "Fixed wiring is for a competent electrician.";

    /** A place with its caution. */
    record PlaceEntry(Place place, String caution) {}

    /** A grower with a site. */
    record GrowerEntry(String name, String site, int altitude, Protection protection) {}

    /** A variety with how it is usually ordered. */
    record VarietyEntry(String crop, String name, String container, int leavesFrom, int leavesTo, int weeksAhead) {}

    /** A seed lot; what truly comes up is known to the simulation alone. */
    record LotEntry(
            String code, String variety, String supplier, double label, int tested, LocalDate testedOn, int seeds) {}

    private DemoStock() {}

    /** Whether the nursery sows the crop into plugs first and pots it on. */
    static boolean isPottedUp(String crop) {
        return Set.of("tomato", "pepper", "aubergine").contains(crop);
    }

    /** Two mornings' hands on a weekday, and who looks in at the week's end; watering is not counted. */
    static int minutesOfHands(DayOfWeek day) {
        return switch (day) {
            case SATURDAY -> 60;
            case SUNDAY -> 45;
            default -> 120;
        };
    }

    static List<PlaceEntry> places() {
        return List.of(
                heated(1, "Heat mat", 8, 26, 23, 0.3, 4, ELECTRIC, PlaceUse.EMERGENCE),
                heated(2, "Propagating bench", 16, 23, 20, 0.3, 6, ELECTRIC, PlaceUse.EMERGENCE),
                heated(3, "Warm room", 36, 21, 19, 0.1, 3, ELECTRIC, PlaceUse.EMERGENCE),
                heated(4, "Lit shelf", 18, 21, 17, 0.1, 13, ELECTRIC, PlaceUse.GROWING_ON),
                heated(5, "Upper lit shelf", 18, 18, 14, 0.1, 13, ELECTRIC, PlaceUse.GROWING_ON),
                heated(6, "Cool cellar", 14, 16, 14, 0.05, 2, "", PlaceUse.EMERGENCE),
                heated(7, "North house", 60, 20, 16, 0.7, 0, "Heaters: ventilate.", PlaceUse.GROWING_ON),
                heated(8, "South house", 64, 23, 18, 0.75, 0, "Heaters: ventilate.", PlaceUse.GROWING_ON),
                heated(9, "Cool house", 90, 16, 10, 0.75, 0, "", PlaceUse.EMERGENCE, PlaceUse.GROWING_ON),
                open(10, "Long tunnel", 110, 2, 7, PlaceClimate.FollowsWeather.NO_FLOOR, 0.8, PlaceUse.GROWING_ON),
                open(
                        11,
                        "East tunnel",
                        70,
                        2,
                        6,
                        PlaceClimate.FollowsWeather.NO_FLOOR,
                        0.8,
                        PlaceUse.GROWING_ON,
                        PlaceUse.HARDENING_OFF),
                open(12, "Frames", 50, 2, 4, -2, 0.85, PlaceUse.GROWING_ON, PlaceUse.HARDENING_OFF),
                open(
                        13,
                        "Hardening ground",
                        110,
                        0.5,
                        1,
                        PlaceClimate.FollowsWeather.NO_FLOOR,
                        0.9,
                        PlaceUse.HARDENING_OFF),
                open(
                        14,
                        "Lower ground",
                        60,
                        0.5,
                        1,
                        PlaceClimate.FollowsWeather.NO_FLOOR,
                        0.9,
                        PlaceUse.HARDENING_OFF));
    }

    /** Places with less daylight than this have walls and a door; mice come into the others. */
    private static final double WALLED = 0.4;

    private static PlaceEntry heated(
            int order,
            String name,
            int slots,
            double day,
            double night,
            double daylight,
            double lamps,
            String caution,
            PlaceUse first,
            PlaceUse... more) {
        return new PlaceEntry(
                new Place(
                        new PlaceId(order),
                        name,
                        order,
                        slots,
                        new PlaceClimate.SetPoints(day, night),
                        new PlaceLight(daylight, Lamps.giving(lamps)),
                        daylight < WALLED,
                        EnumSet.of(first, more)),
                caution);
    }

    private static PlaceEntry open(
            int order,
            String name,
            int slots,
            double byNight,
            double byDay,
            double floor,
            double daylight,
            PlaceUse first,
            PlaceUse... more) {
        return new PlaceEntry(
                new Place(
                        new PlaceId(order),
                        name,
                        order,
                        slots,
                        new PlaceClimate.FollowsWeather(byNight, byDay, floor),
                        daylight,
                        0,
                        EnumSet.of(first, more)),
                "Full trays are heavy: two people for a stack.");
    }

    static List<GrowerEntry> growers() {
        return List.of(
                new GrowerEntry("Lowermead Market Garden", "Lower meadow", 480, Protection.OPEN_GROUND),
                new GrowerEntry("Fennick Flowers", "River terrace", 505, Protection.LOW_COVER),
                new GrowerEntry("Saint Orla School Garden", "School yard", 760, Protection.OPEN_GROUND),
                new GrowerEntry("Middlefold Growers", "Middle fold", 745, Protection.UNHEATED_TUNNEL),
                new GrowerEntry("Upper Tarrow Farm", "Upper terrace", 1120, Protection.LOW_COVER),
                new GrowerEntry("Highbank Allotments", "Highbank", 1085, Protection.OPEN_GROUND),
                new GrowerEntry("Ashmere Kitchen Garden", "Walled garden", 470, Protection.OPEN_GROUND),
                new GrowerEntry("Dunnet Vegetable Boxes", "Long strip", 520, Protection.UNHEATED_TUNNEL),
                new GrowerEntry("Corrin Bridge Cut Flowers", "Bridge field", 735, Protection.LOW_COVER),
                new GrowerEntry("Tillowhead School", "Sunny bank", 780, Protection.OPEN_GROUND),
                new GrowerEntry("Skarrow Hill Farm", "Top field", 1140, Protection.UNHEATED_TUNNEL),
                new GrowerEntry("Oldmoor Community Plots", "Common", 1060, Protection.LOW_COVER));
    }

    static List<VarietyEntry> varieties() {
        return List.of(
                new VarietyEntry("curly-kale", "Ruffled Warden", "module-60", 4, 5, 8),
                new VarietyEntry("curly-kale", "Blue Lantern", "module-60", 4, 5, 8),
                new VarietyEntry("cabbage", "Stonecap", "module-60", 4, 5, 8),
                new VarietyEntry("cauliflower", "Pale Harbour", "module-40", 4, 5, 8),
                new VarietyEntry("lettuce", "Butterlow", "module-104", 4, 5, 6),
                new VarietyEntry("lettuce", "Red Quiver", "module-104", 4, 5, 6),
                new VarietyEntry("lettuce", "Marrel Crisp", "module-104", 4, 5, 6),
                new VarietyEntry("onion", "Amber Knoll", "module-104", 2, 3, 9),
                new VarietyEntry("leek", "Long Sexton", "module-104", 2, 3, 10),
                new VarietyEntry("beetroot", "Dusk Round", "module-60", 3, 4, 6),
                new VarietyEntry("chard", "Painted Gate", "module-60", 3, 4, 6),
                new VarietyEntry("spinach", "Thickset", "module-60", 3, 4, 5),
                new VarietyEntry("pea", "Early Tumbler", "module-60", 3, 4, 5),
                new VarietyEntry("parsley", "Curled Minster", "module-60", 4, 5, 10),
                new VarietyEntry("celery", "Tall Fenwater", "module-104", 4, 6, 11),
                new VarietyEntry("tomato", "Copper Bell", "pot-9", 5, 7, 8),
                new VarietyEntry("tomato", "Little Ember", "pot-9", 5, 7, 8),
                new VarietyEntry("pepper", "Slow Lantern", "pot-7", 6, 8, 11),
                new VarietyEntry("aubergine", "Night Purse", "pot-9", 5, 7, 10),
                new VarietyEntry("cucumber", "Green Oar", "pot-9", 3, 4, 5),
                new VarietyEntry("squash", "Sunboat", "pot-9", 2, 4, 5),
                new VarietyEntry("squash", "Grey Hearth", "pot-9", 2, 4, 5),
                new VarietyEntry("french-bean", "Slim Piper", "module-40", 2, 3, 5),
                new VarietyEntry("sweet-corn", "Golden Drum", "module-40", 3, 4, 5),
                new VarietyEntry("basil", "Sweet Corner", "module-60", 4, 6, 7),
                new VarietyEntry("thyme", "Creeping Hollow", "plug-150", 6, 9, 11),
                new VarietyEntry("snapdragon", "Tall Rosewick", "plug-150", 5, 7, 9),
                new VarietyEntry("cosmos", "White Skein", "module-60", 4, 6, 6),
                new VarietyEntry("zinnia", "Bright Tally", "module-60", 3, 5, 6),
                new VarietyEntry("sunflower", "Tawny Clock", "module-40", 3, 4, 5),
                new VarietyEntry("broad-bean", "Grey Sergeant", "module-40", 2, 3, 6),
                new VarietyEntry("runner-bean", "Scarlet Ladder", "module-40", 2, 3, 6),
                new VarietyEntry("brussels-sprouts", "Tight Button", "module-60", 4, 5, 8),
                new VarietyEntry("broccoli", "Green Anvil", "module-60", 4, 5, 8),
                new VarietyEntry("kohlrabi", "Lilac Globe", "module-60", 3, 4, 7),
                new VarietyEntry("pak-choi", "White Ladle", "module-60", 3, 5, 6),
                new VarietyEntry("swede", "Amber Cellar", "module-60", 3, 4, 7),
                new VarietyEntry("rocket", "Tooth Leaf", "module-104", 3, 5, 6),
                new VarietyEntry("mizuna", "Feathered Ribbon", "module-104", 4, 5, 6),
                new VarietyEntry("endive", "Curled Ruffle", "module-60", 4, 5, 8),
                new VarietyEntry("fennel", "Swollen Lantern", "module-60", 3, 4, 8),
                new VarietyEntry("courgette", "Striped Oar", "pot-9", 2, 4, 6),
                new VarietyEntry("pumpkin", "Barn Moon", "pot-9", 2, 4, 7),
                new VarietyEntry("celeriac", "Rough Fist", "module-104", 4, 6, 12),
                new VarietyEntry("coriander", "Slow Bolt", "module-60", 3, 5, 8),
                new VarietyEntry("dill", "Tall Feather", "module-60", 3, 5, 8),
                new VarietyEntry("chives", "Fine Rush", "module-60", 2, 4, 10),
                new VarietyEntry("sage", "Broad Silver", "module-60", 4, 6, 10),
                new VarietyEntry("oregano", "Hill Carpet", "plug-150", 5, 8, 11),
                new VarietyEntry("sweet-pea", "Paper Wing", "module-40", 3, 5, 9),
                new VarietyEntry("stock", "Evening Spire", "module-104", 4, 5, 9),
                new VarietyEntry("statice", "Dry Harbour", "module-60", 4, 6, 9),
                new VarietyEntry("calendula", "Copper Penny", "module-60", 4, 5, 7),
                new VarietyEntry("marigold", "Low Ember", "module-60", 4, 6, 8),
                new VarietyEntry("strawflower", "Parchment", "module-60", 4, 6, 9),
                new VarietyEntry("scabious", "Blue Pincushion", "module-60", 4, 6, 10),
                new VarietyEntry("china-aster", "Autumn Tuft", "module-60", 4, 5, 8),
                new VarietyEntry("foxglove", "Speckled Bell", "plug-150", 4, 6, 10),
                new VarietyEntry("tomato", "Long Vesper", "pot-9", 5, 7, 9),
                new VarietyEntry("lettuce", "Oak Hollow", "module-104", 4, 5, 6));
    }

    /** A lot for each variety and a second, older one for twenty of them. */
    /** What a lot's packet says: each house prints the days of another windowsill, and one says nothing. */
    static PacketSays packet(LotEntry lot, Crop crop) {
        return switch (lot.supplier()) {
            case "Harth Seeds" ->
                new PacketSays(
                        Optional.of(days(crop, 15, 19)),
                        OptionalDouble.of(crop.seed().depth()));
            case "Oddmoor Seed Co-operative" ->
                new PacketSays(Optional.empty(), OptionalDouble.of(crop.seed().depth() / 2));
            case "Pennet and Rowe" -> new PacketSays(Optional.of(days(crop, 17, 25)), OptionalDouble.empty());
            default -> PacketSays.NOTHING;
        };
    }

    /** The days in which half are up between two temperatures, °C, as a packet prints them. */
    private static PacketSays.Days days(Crop crop, double cool, double warm) {
        int from = (int) Math.max(1, Math.round(crop.emergence().daysAt(warm)));
        return new PacketSays.Days(from, (int)
                Math.max(from, Math.min(60, Math.round(crop.emergence().daysAt(cool)))));
    }

    static List<LotEntry> lots(LocalDate opening) {
        List<LotEntry> lots = new ArrayList<>();
        String[] suppliers = {"Harth Seeds", "Oddmoor Seed Co-operative", "Valley Seed Library", "Pennet and Rowe"};
        SplittableRandom random = new SplittableRandom(77);
        List<VarietyEntry> varieties = varieties();
        for (int index = 0; index < varieties.size() + 20; index++) {
            boolean old = index >= varieties.size();
            VarietyEntry variety = varieties.get(index % varieties.size());
            double label =
                    Math.round((old ? 0.72 + 0.12 * random.nextDouble() : 0.84 + 0.12 * random.nextDouble()) * 100)
                            / 100.0;
            LocalDate tested = opening.minusDays(old ? 900 + random.nextInt(500) : 120 + random.nextInt(240));
            String code = String.format("%s%02d-%03d", old ? "K" : "M", tested.getYear() % 100, 100 + index * 7);
            int seeds = old ? 300 + 100 * random.nextInt(6) : 900 + 300 * random.nextInt(9);
            lots.add(new LotEntry(
                    code, variety.name(), suppliers[index % suppliers.length], label, old ? 50 : 100, tested, seeds));
        }
        // A rest from the year before last, of what is sown on the day on which the demonstration opens.
        lots.add(new LotEntry("K24-660", "Oak Hollow", suppliers[0], 0.78, 50, opening.minusDays(1_000), 600));
        return lots;
    }
}
