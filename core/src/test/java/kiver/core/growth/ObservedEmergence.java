package kiver.core.growth;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** The observed days to emergence in library/emergence-days.csv, by crop code. */
public final class ObservedEmergence {

    /** The library folder, seen from the module that runs the tests. */
    public static final Path LIBRARY = Path.of("..", "library");

    private static final int[] TEMPERATURES = {0, 5, 10, 20, 30, 35, 40};

    private ObservedEmergence() {}

    public static Map<String, List<ObservedDays>> read() throws IOException {
        Map<String, List<ObservedDays>> byCrop = new LinkedHashMap<>();
        CSVFormat format =
                CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).setCommentMarker('#').get();
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
