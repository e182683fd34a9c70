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
import org.junit.jupiter.api.Test;

class PlantingLinesTest {

    private static final LocalDate APRIL = LocalDate.of(2027, 4, 20);

    @Test
    void followTheCropAndItsHardiness() throws IOException {
        List<String> kale = PlantingLines.of(crop("curly-kale"), APRIL);
        assertThat(kale).anyMatch(line -> line.contains("to the lowest leaves, 45 cm apart"))
                .anyMatch(line -> line.contains("-6 °C"));
        assertThat(PlantingLines.of(crop("lettuce"), APRIL)).anyMatch(line -> line.contains("bolt"));
        assertThat(PlantingLines.of(crop("tomato"), APRIL)).anyMatch(line -> line.contains("No frost at all"));
    }

    @Test
    void sayEveningOnlyWhenItMayBeHot() throws IOException {
        assertThat(PlantingLines.of(crop("lettuce"), APRIL)).noneMatch(line -> line.contains("evening"));
        assertThat(PlantingLines.of(crop("lettuce"), LocalDate.of(2027, 7, 1))).anyMatch(line -> line.contains("evening"));
    }

    @Test
    void sayWhatCanHurt() throws IOException {
        assertThat(PlantingLines.of(crop("parsnip"), APRIL)).anyMatch(line -> line.startsWith("Caution: Sap can burn"));
        assertThat(PlantingLines.of(crop("curly-kale"), APRIL)).noneMatch(line -> line.startsWith("Caution"));
    }

    private static Crop crop(String code) throws IOException {
        try (Reader text = Files.newBufferedReader(Path.of("..", "library", "crops.csv"))) {
            return CropLibraryReader.readCrops("crops.csv", text).stream()
                    .filter(crop -> crop.code().equals(code))
                    .findFirst()
                    .orElseThrow();
        }
    }
}
