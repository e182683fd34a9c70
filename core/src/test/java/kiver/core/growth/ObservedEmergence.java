package kiver.core.growth;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kiver.core.crop.Crop;
import kiver.core.crop.CropLibraryReader;
import kiver.core.crop.Hardiness;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** The observed days to emergence in library/emergence-days.csv, by crop code. */
public final class ObservedEmergence {

    /** The library folder, seen from the module that runs the tests. */
    public static final Path LIBRARY = Path.of("..", "library");

    private static final int[] TEMPERATURES = {0, 5, 10, 20, 30, 35, 40};

    private ObservedEmergence() {}

    /** The temperatures at which each crop of the library was not seen to come up, °C. */
    public static List<Double> nothingCameUp(List<ObservedDays> observed) {
        List<Double> temperatures = new ArrayList<>();
        for (double temperature : TEMPERATURES) {
            if (observed.stream().noneMatch(each -> each.temperature() == temperature)) {
                temperatures.add(temperature);
            }
        }
        return temperatures;
    }

    /** The season class of each crop in the library, by code. */
    public static Map<String, CardinalFit.Kin> kin() throws IOException {
        Map<String, CardinalFit.Kin> kin = new LinkedHashMap<>();
        try (Reader text = Files.newBufferedReader(LIBRARY.resolve("crops.csv"))) {
            for (Crop crop : CropLibraryReader.readCrops("crops.csv", text)) {
                kin.put(
                        crop.code().written(),
                        crop.hardiness() == Hardiness.TENDER
                                ? CardinalFit.Kin.WARM_SEASON
                                : CardinalFit.Kin.COOL_SEASON);
            }
        }
        return kin;
    }

    public static Map<String, List<ObservedDays>> read() throws IOException {
        Map<String, List<ObservedDays>> byCrop = new LinkedHashMap<>();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setCommentMarker('#')
                .get();
        try (Reader text = Files.newBufferedReader(LIBRARY.resolve("emergence-days.csv"));
                CSVParser parser = CSVParser.parse(text, format)) {
            for (CSVRecord line : parser) {
                List<ObservedDays> observed = new ArrayList<>();
                for (int temperature : TEMPERATURES) {
                    String days = line.get("t" + temperature);
                    if (!days.isEmpty()) {
                        observed.add(new ObservedDays(temperature, Double.parseDouble(days)));
                    }
                }
                byCrop.put(line.get("crop"), observed);
            }
        }
        return byCrop;
    }
}
