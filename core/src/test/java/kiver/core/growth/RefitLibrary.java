package kiver.core.growth;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Fits emergence again and writes the result into library/crops.csv: a program, started by {@code ./kiver refit}.
 * Only the emergence columns of crops that were observed change.
 */
public final class RefitLibrary {

    private RefitLibrary() {}

    public static void main(String[] arguments) throws IOException {
        Map<String, List<ObservedDays>> observed = ObservedEmergence.read();
        Map<String, CardinalFit.Kin> kin = ObservedEmergence.kin();
        Path file = ObservedEmergence.LIBRARY.resolve("crops.csv");
        List<String> refitted = new ArrayList<>();
        List<String> heading = null;
        for (String line : Files.readAllLines(file)) {
            List<String> fields = Arrays.asList(line.split(",", -1));
            if (line.startsWith("#")) {
                refitted.add(line);
            } else if (heading == null) {
                heading = fields;
                refitted.add(line);
            } else {
                refitted.add(
                        observed.containsKey(fields.get(0))
                                ? refit(heading, line, observed.get(fields.get(0)), kin.get(fields.get(0)))
                                : line);
            }
        }
        Files.write(file, refitted);
    }

    private static String refit(List<String> heading, String line, List<ObservedDays> observed, CardinalFit.Kin kin) {
        int first = heading.indexOf("emergence_base");
        String[] fields = line.split(",(?=(?:[^\"]*\"[^\"]*\")*[^\"]*$)", -1);
        Emergence fit = CardinalFit.fit(
                observed, ObservedEmergence.nothingCameUp(observed), kin, Double.parseDouble(fields[first + 5]));
        fields[first] = figure(fit.temperatures().base());
        fields[first + 1] = figure(fit.temperatures().optimum());
        fields[first + 2] = figure(fit.temperatures().ceiling());
        fields[first + 3] = figure(fit.temperatures().curvature());
        fields[first + 4] = figure(fit.daysAtBest());
        fields[heading.indexOf("emergence_source")] = "fitted to emergence-days.csv";
        return String.join(",", fields);
    }

    private static String figure(double value) {
        return String.format(Locale.ROOT, "%.3f", value);
    }
}
