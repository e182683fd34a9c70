package kiver.server.release;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import kiver.core.crop.Crop;
import kiver.core.crop.Hardiness;
import kiver.core.order.Protection;
import kiver.server.wording.Said;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What a grower makes ready before plants come, and how they look after them in their first weeks; from the library. */
@Component
class PreparingBook {

    private static final Group USUAL = new Group(List.of(), Soil.USUAL, Support.NONE, false);

    private final List<Group> groups;

    PreparingBook(JsonMapper json, @Value("${kiver.library}") Path folder) {
        try {
            groups = json.readValue(Files.readString(folder.resolve("preparing.json")), Library.class)
                    .groups();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** How rich a bed a crop wants. */
    enum Soil {
        RICH,
        POOR,
        USUAL
    }

    /** What it climbs or leans on. */
    enum Support {
        NONE,
        STAKES,
        NET
    }

    /** The library's file. */
    record Library(String note, List<Group> groups) {}

    /** Crops that want the same. */
    record Group(List<String> crops, Soil soil, Support support, boolean fence) {}

    private Group of(Crop crop) {
        return groups.stream()
                .filter(group -> group.crops().contains(crop.code().written()))
                .findFirst()
                .orElse(USUAL);
    }

    /** Before the delivery, in the order in which it is done. */
    List<Said> before(Crop crop, Protection protection) {
        Group group = of(crop);
        List<Said> lines = new ArrayList<>();
        lines.add(Said.of("Weed the bed and let it settle for a week."));
        lines.add(
                switch (group.soil()) {
                    case RICH -> Said.of("Work in well-rotted compost or manure: it is a hungry crop.");
                    case POOR -> Said.of("Leave the soil as it is: it does not want feeding.");
                    case USUAL -> Said.of("A little compost is enough.");
                });
        if (group.support() == Support.STAKES) {
            lines.add(Said.of("Set the stakes before you plant, so as not to hurt the roots later."));
        }
        if (group.support() == Support.NET) {
            lines.add(Said.of("Put up netting or sticks for it to climb before you plant."));
        }
        if (protection == Protection.OPEN_GROUND && crop.hardiness() != Hardiness.HARDY) {
            lines.add(Said.of("Have fleece and something to weigh it down at hand."));
        }
        if (group.fence()) {
            lines.add(Said.of("Keep birds and rabbits off: net it, or fence it."));
        }
        lines.add(Said.of("Soak the bed the evening before if it is dry."));
        return List.copyOf(lines);
    }

    /** After planting. */
    List<Said> after(Crop crop) {
        Group group = of(crop);
        List<Said> lines = new ArrayList<>();
        lines.add(Said.of(
                "For two weeks look every evening: slugs come first. Water only when the soil a finger deep is dry."));
        if (group.soil() == Soil.RICH) {
            lines.add(Said.of("Feed weakly from the third week on."));
        }
        if (group.support() == Support.STAKES) {
            lines.add(Said.of("Tie it in loosely once a week."));
        }
        lines.add(Said.of("Tell us within two weeks if some fail: a few are kept for you until then."));
        return List.copyOf(lines);
    }
}
