package kiver.core.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kiver.core.crop.Crop;
import kiver.core.crop.CropLibraryReader;
import org.junit.jupiter.api.Test;

class CardinalFitTest {

    @Test
    void predictsColumnsThatWereLeftOut() throws IOException {
        List<Double> errors = new ArrayList<>();
        ObservedEmergence.read().values().forEach(observed -> {
            double lowest = observed.get(0).temperature();
            double highest = observed.get(observed.size() - 1).temperature();
            for (ObservedDays heldOut : observed) {
                if (heldOut.temperature() > lowest && heldOut.temperature() < highest) {
                    List<ObservedDays> others =
                            observed.stream().filter(each -> each != heldOut).toList();
                    Emergence fit = CardinalFit.fit(others, 0.2);
                    errors.add(Math.abs(fit.daysAt(heldOut.temperature()) / heldOut.days() - 1));
                }
            }
        });
        errors.sort(null);
        System.out.printf("Left-out columns: %d, median error %.1f %%, nine in ten below %.1f %%%n", errors.size(),
                100 * errors.get(errors.size() / 2), 100 * errors.get((int) (0.9 * (errors.size() - 1))));
        assertThat(errors).hasSizeGreaterThan(40);
        assertThat(errors.get(errors.size() / 2)).as("median error").isLessThan(0.08);
        assertThat(errors.stream().filter(error -> error < 0.25).count())
                .as("predictions within 25 %% of %d", errors.size())
                .isGreaterThanOrEqualTo((long) Math.ceil(0.9 * errors.size()));
    }

    @Test
    void libraryHoldsWhatTheFitGives() throws IOException {
        Map<String, List<ObservedDays>> observed = ObservedEmergence.read();
        List<Crop> crops;
        try (Reader text = Files.newBufferedReader(ObservedEmergence.LIBRARY.resolve("crops.csv"))) {
            crops = CropLibraryReader.readCrops("crops.csv", text);
        }
        assertThat(crops).extracting(Crop::code).containsAll(observed.keySet());
        crops.stream().filter(crop -> observed.containsKey(crop.code())).forEach(crop -> {
            Emergence fit = CardinalFit.fit(observed.get(crop.code()), crop.emergence().spread());
            for (ObservedDays each : observed.get(crop.code())) {
                double inLibrary = crop.emergence().daysAt(each.temperature());
                double fitted = fit.daysAt(each.temperature());
                assertThat(inLibrary / fitted).as("%s at %s °C; run ./kiver refit", crop.code(), each.temperature())
                        .isBetween(0.98, 1.02);
            }
        });
    }

    @Test
    void recoversAKnownCurve() {
        Emergence truth = new Emergence(CardinalTemperatures.of(6, 28, 41), 5, 0.2);
        List<ObservedDays> observed = new ArrayList<>();
        for (int temperature = 10; temperature <= 38; temperature += 4) {
            observed.add(new ObservedDays(temperature, truth.daysAt(temperature)));
        }
        Emergence fit = CardinalFit.fit(observed, 0.2);
        assertThat(fit.daysAt(16) / truth.daysAt(16)).isBetween(0.97, 1.03);
        assertThat(fit.temperatures().optimum()).isBetween(26.5, 29.5);
    }

    @Test
    void needsTwoTemperatures() {
        List<ObservedDays> observed = List.of(new ObservedDays(20, 5), new ObservedDays(20, 6));
        assertThatThrownBy(() -> CardinalFit.fit(observed, 0.2))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("two temperatures");
    }
}
