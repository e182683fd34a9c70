package kiver.server.release;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kiver.core.crop.Crop;
import kiver.core.crop.Hardiness;
import kiver.core.release.PlantingAdvice;
import kiver.core.release.ReadyCheck;
import kiver.server.wording.Celsius;
import kiver.server.wording.Millimetres;
import kiver.server.wording.Said;
import kiver.server.wording.WholeDay;
import org.jspecify.annotations.Nullable;

/** How to plant, in lines for the delivery note and the grower's page. */
final class PlantingLines {

    private static final Millimetres WATER_TO_STAND_IN = new Millimetres(25);
    private static final Said NOT_SOAKED = Said.of(
                    "Stand the trays in {depth} of water for 20 minutes before planting.")
            .with("depth", WATER_TO_STAND_IN);

    private static final Said SOAKED = Said.of(
                    "They stood in water before they left; stand them in {depth} again if the trays have become light.")
            .with("depth", WATER_TO_STAND_IN);

    private static final double MILLIMETRES_IN_CENTIMETRE = 10;

    private static final int DAYS_TO_PLANT = 3;

    private PlantingLines() {}

    static List<Said> of(Crop crop, LocalDate target) {
        return of(
                crop,
                target,
                Said.of("Plant within three days; until then keep in bright shade and water when a tray feels light."));
    }

    /** The same for plants that left on a day. */
    static List<Said> ofReleased(
            Crop crop, LocalDate target, LocalDate released, LookedAtBook.@Nullable LookedAt looked) {
        Said plantBy = Said.of("Plant by {day}; until then keep in bright shade and water when a tray feels light.")
                .with("day", new WholeDay(released.plusDays(DAYS_TO_PLANT)));
        if (looked == null) {
            return of(crop, target, plantBy);
        }
        boolean soaked = looked.sample().held().contains(ReadyCheck.SOAKED);
        List<Said> lines = new ArrayList<>();
        lines.add(plantBy);
        lines.addAll(lines(crop, soaked ? SOAKED : NOT_SOAKED));
        looked.advice().stream()
                .filter(each -> !(each instanceof PlantingAdvice.GoodDay))
                .map(each -> Said.of((Record) each))
                .forEach(lines::add);
        caution(crop).ifPresent(lines::add);
        return List.copyOf(lines);
    }

    private static List<Said> of(Crop crop, LocalDate target, Said plantBy) {
        List<Said> lines = new ArrayList<>();
        lines.add(plantBy);
        lines.addAll(lines(crop, NOT_SOAKED));
        if (target.getMonthValue() >= 5 && target.getMonthValue() <= 9) {
            lines.add(Said.of("On a hot day plant in the evening."));
        }
        caution(crop).ifPresent(lines::add);
        return List.copyOf(lines);
    }

    private static List<Said> lines(Crop crop, Said soaking) {
        return List.of(
                soaking,
                Said.of("Set each plant {depth}, {spacing} apart, firm it lightly and water it in.")
                        .with("depth", crop.planting().depth())
                        .with(
                                "spacing",
                                new Millimetres(MILLIMETRES_IN_CENTIMETRE
                                        * crop.planting().spacing())),
                switch (crop.hardiness()) {
                    case HARDY ->
                        Said.of(
                                        "Stands frost to about {floor} once settled; cover for the first nights if it is colder.")
                                .with("floor", new Celsius(Hardiness.HARDY.floor()));
                    case HALF_HARDY -> Said.of("Light frost harms it or makes it bolt: cover when frost is forecast.");
                    case TENDER ->
                        Said.of("No frost at all: plant only when nights stay above {night}, and cover on cold nights.")
                                .with("night", new Celsius(Hardiness.TENDER.floor() + 5));
                });
    }

    private static Optional<Said> caution(Crop crop) {
        return Optional.of(crop.planting().caution())
                .filter(words -> !words.isBlank())
                .map(words -> Said.of("Caution: {caution}").with("caution", words));
    }
}
