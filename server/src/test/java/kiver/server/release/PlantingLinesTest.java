package kiver.server.release;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import kiver.core.crop.Crop;
import kiver.core.crop.CropLibraryReader;
import kiver.server.wording.Wording;
import org.junit.jupiter.api.Test;

class PlantingLinesTest {

    private static final Wording WORDING = new Wording();
    private static final LocalDate APRIL = LocalDate.of(2027, 4, 20);

    @Test
    void followTheCropAndItsHardiness() throws IOException {
        List<String> kale = lines(crop("curly-kale"), APRIL);
        assertThat(kale)
                .anyMatch(line -> line.contains("to the lowest leaves, 45 cm apart"))
                .anyMatch(line -> line.contains("−6 °C"));
        assertThat(lines(crop("lettuce"), APRIL)).anyMatch(line -> line.contains("bolt"));
        assertThat(lines(crop("tomato"), APRIL)).anyMatch(line -> line.contains("No frost at all"));
    }

    @Test
    void sayEveningOnlyWhenItMayBeHot() throws IOException {
        assertThat(lines(crop("lettuce"), APRIL)).noneMatch(line -> line.contains("evening"));
        assertThat(lines(crop("lettuce"), LocalDate.of(2027, 7, 1))).anyMatch(line -> line.contains("evening"));
    }

    @Test
    void sayWhatCanHurt() throws IOException {
        assertThat(lines(crop("parsnip"), APRIL)).anyMatch(line -> line.startsWith("Caution: Sap can burn"));
        assertThat(lines(crop("curly-kale"), APRIL)).noneMatch(line -> line.startsWith("Caution"));
    }

    private static List<String> lines(Crop crop, LocalDate target) {
        return PlantingLines.of(crop, target).stream().map(WORDING::say).toList();
    }

    private static Crop crop(String code) throws IOException {
        try (Reader text = Files.newBufferedReader(Path.of("..", "library", "crops.csv"))) {
            return CropLibraryReader.readCrops("crops.csv", text).stream()
                    .filter(crop -> crop.code().written().equals(code))
                    .findFirst()
                    .orElseThrow();
        }
    }
}
