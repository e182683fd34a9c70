package kiver.server.question;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerSheet;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.crop.CropSheet;
import kiver.core.sheet.SheetText;
import kiver.server.demo.DemonstrationStock;

/** The names of the demonstration nursery. */
final class DemonstrationNames {

    private static final Path LIBRARY = Path.of("../library");

    private DemonstrationNames() {}

    static Vocabulary vocabulary() {
        Map<CropCode, Crop> crops =
                read("crops.csv", text -> SheetText.read("crops.csv", text, CropSheet.NAMES, CropSheet::read)).stream()
                        .collect(Collectors.toMap(Crop::code, Function.identity()));
        List<Container> containers = read(
                "containers.csv",
                text -> SheetText.read("containers.csv", text, ContainerSheet.NAMES, ContainerSheet::read));
        List<Vocabulary.VarietyName> varieties = new ArrayList<>();
        DemonstrationStock.varieties()
                .forEach((name, crop) -> varieties.add(new Vocabulary.VarietyName(
                        varieties.size() + 1L,
                        name,
                        new CropCode(crop),
                        crops.get(new CropCode(crop)).name())));
        List<Vocabulary.SiteName> sites = new ArrayList<>();
        DemonstrationStock.sites()
                .forEach((site, grower) -> sites.add(new Vocabulary.SiteName(sites.size() + 1L, site, grower)));
        return new Vocabulary(
                varieties,
                sites,
                containers.stream()
                        .map(each -> new Vocabulary.ContainerName(each.code(), each.name(), each.cells()))
                        .toList());
    }

    private static <T> T read(String file, Function<String, T> reading) {
        try {
            return reading.apply(Files.readString(LIBRARY.resolve(file)));
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    /** A container as the files call it. */
    static String called(String code) {
        return code.startsWith("module-")
                ? "module tray of " + code.substring(7)
                : "pot of " + code.substring(4) + " cm";
    }
}
