package kiver.core.crop;

import java.io.IOException;
import java.io.Reader;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.growth.Emergence;
import kiver.core.growth.LeafGrowth;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads the library's open files: comma-separated, UTF-8, one heading line, lines that begin with # are remarks.
 * Every fault of a file is found before any of it is refused.
 */
public final class CropLibraryReader {

    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setCommentMarker('#')
            .setIgnoreSurroundingSpaces(true)
            .get();

    private CropLibraryReader() {}

    /**
     * The crops of a file.
     *
     * @throws LibraryFileException listing every faulty line
     */
    public static List<Crop> readCrops(String file, Reader text) throws IOException {
        return read(file, text, CropLibraryReader::crop);
    }

    /**
     * The containers of a file.
     *
     * @throws LibraryFileException listing every faulty line
     */
    public static List<Container> readContainers(String file, Reader text) throws IOException {
        return read(file, text, CropLibraryReader::container);
    }

    private static <T> List<T> read(String file, Reader text, Function<CSVRecord, T> line) throws IOException {
        List<T> entries = new ArrayList<>();
        List<LibraryFault> faults = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(text, FORMAT)) {
            for (CSVRecord fields : parser) {
                try {
                    entries.add(line.apply(fields));
                } catch (IllegalArgumentException fault) {
                    faults.add(new LibraryFault(file, parser.getCurrentLineNumber(), fault.getMessage()));
                }
            }
        }
        if (!faults.isEmpty()) {
            throw new LibraryFileException(faults);
        }
        return List.copyOf(entries);
    }

    private static Crop crop(CSVRecord fields) {
        return new Crop(
                words(fields, "code"),
                words(fields, "name"),
                hardiness(fields),
                new Emergence(
                        new CardinalTemperatures(
                                number(fields, "emergence_base"),
                                number(fields, "emergence_optimum"),
                                number(fields, "emergence_ceiling"),
                                number(fields, "emergence_curvature")),
                        number(fields, "emergence_days_at_best"),
                        number(fields, "emergence_spread")),
                new LeafGrowth(
                        CardinalTemperatures.of(
                                number(fields, "leaf_base"),
                                number(fields, "leaf_optimum"),
                                number(fields, "leaf_ceiling")),
                        number(fields, "leaves_per_day"),
                        number(fields, "light_need")),
                number(fields, "grow_at"),
                number(fields, "leaf_limit"),
                new SeedTraits(
                        number(fields, "seed_depth"),
                        fields.get("needs_light").equals("yes"),
                        (int) number(fields, "soak_hours"),
                        number(fields, "thousand_seed_weight")),
                new PlantingOut(
                        (int) number(fields, "spacing"), words(fields, "planting_depth"), fields.get("caution")),
                new Sources(words(fields, "emergence_source"), words(fields, "growth_source")));
    }

    private static Container container(CSVRecord fields) {
        return new Container(
                words(fields, "code"),
                words(fields, "name"),
                (int) number(fields, "rows"),
                (int) number(fields, "columns"),
                number(fields, "cell_volume"),
                number(fields, "cell_depth"),
                number(fields, "slots"));
    }

    private static Hardiness hardiness(CSVRecord fields) {
        String word = words(fields, "hardiness");
        try {
            return Hardiness.valueOf(word.toUpperCase(Locale.ROOT).replace('-', '_'));
        } catch (IllegalArgumentException unknown) {
            throw new IllegalArgumentException(
                    "hardiness is \"" + word + "\"; it must be hardy, half-hardy or tender.", unknown);
        }
    }

    private static String words(CSVRecord fields, String column) {
        String value = fields.get(column);
        if (value.isBlank()) {
            throw new IllegalArgumentException(column + " is empty.");
        }
        return value;
    }

    private static double number(CSVRecord fields, String column) {
        String value = words(fields, column);
        try {
            return Double.parseDouble(value);
        } catch (NumberFormatException notANumber) {
            throw new IllegalArgumentException(
                    column + " is \"" + value + "\"; it must be a number with a decimal point.", notANumber);
        }
    }
}
