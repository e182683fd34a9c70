package kiver.server.crop;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kiver.core.sheet.SheetText;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The observed days to emergence that crops are fitted to, from the library's file, to be shown beside the fit. */
@Component
public class ObservedBook {

    private static final String FILE = "emergence-days.csv";

    private final Map<String, Map<Double, Double>> byCrop = new HashMap<>();

    ObservedBook(@Value("${kiver.library}") Path folder) {
        try {
            String text = SheetText.decoded(FILE, Files.readAllBytes(folder.resolve(FILE)));
            SheetText.lines(FILE, text, List.of("crop")).forEach(line -> {
                String crop = line.row().words("crop");
                Map<Double, Double> days = byCrop.computeIfAbsent(crop, each -> new TreeMap<>());
                line.row().entries().forEach((column, value) -> {
                    if (column.matches("t\\d+") && value.strip().matches("\\d+(\\.\\d+)?")) {
                        days.put(Double.valueOf(column.substring(1)), Double.valueOf(value.strip()));
                    }
                });
            });
        } catch (IOException unreadable) {
            throw new UncheckedIOException("The library's " + FILE + " cannot be read in " + folder, unreadable);
        }
    }

    /** Days to half up by temperature, °C; empty for a crop without observations. */
    public Map<Double, Double> of(String crop) {
        return byCrop.getOrDefault(crop, Map.of());
    }
}
