package kiver.server.release;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kiver.core.crop.Crop;
import kiver.core.crop.Hardiness;

/** How to plant, in lines for the delivery note and the grower's page. */
final class PlantingLines {

    private PlantingLines() {}

    static List<String> of(Crop crop, LocalDate target) {
        List<String> lines = new ArrayList<>();
        lines.add("Plant within three days; until then keep in bright shade and water when a tray feels light.");
        lines.add("Stand the trays in 2 to 3 cm of water for 20 minutes before planting.");
        lines.add("Set each plant " + crop.planting().depth() + ", " + crop.planting().spacing()
                + " cm apart, firm it lightly and water it in.");
        lines.add(switch (crop.hardiness()) {
            case HARDY -> "Stands frost to about -6 °C once settled; cover for the first nights if it is colder.";
            case HALF_HARDY -> "Light frost harms it or makes it bolt: cover when frost is forecast.";
            case TENDER -> "No frost at all: plant only when nights stay above "
                    + Math.round(Hardiness.TENDER.floor() + 5) + " °C, and cover on cold nights.";
        });
        if (target.getMonthValue() >= 5 && target.getMonthValue() <= 9) {
            lines.add("On a hot day plant in the evening.");
        }
        if (!crop.planting().caution().isBlank()) {
            lines.add("Caution: " + crop.planting().caution());
        }
        return List.copyOf(lines);
    }
}
