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
import kiver.core.crop.Hardiness;
import org.junit.jupiter.api.Test;

class CardinalFitTest {

    @Test
    void predictsColumnsThatWereLeftOut() throws IOException {
        List<Double> errors = new ArrayList<>();
        Map<String, CardinalFit.Kin> kin = ObservedEmergence.kin();
        ObservedEmergence.read().forEach((crop, observed) -> {
            double lowest = observed.get(0).temperature();
            double highest = observed.get(observed.size() - 1).temperature();
            for (ObservedDays heldOut : observed) {
                if (heldOut.temperature() > lowest && heldOut.temperature() < highest) {
                    List<ObservedDays> others =
                            observed.stream().filter(each -> each != heldOut).toList();
                    Emergence fit =
                            CardinalFit.fit(others, ObservedEmergence.nothingCameUp(observed), kin.get(crop), 0.2);
                    errors.add(Math.abs(fit.daysAt(heldOut.temperature()) / heldOut.days() - 1));
                }
            }
        });
        errors.sort(null);
        System.out.printf(
                "Left-out columns: %d, median error %.1f %%, nine in ten below %.1f %%%n",
                errors.size(),
                100 * errors.get(errors.size() / 2),
                100 * errors.get((int) (0.9 * (errors.size() - 1))));
        assertThat(errors).hasSizeGreaterThan(40);
        assertThat(errors.get(errors.size() / 2)).as("median error").isLessThan(0.05);
        assertThat(errors.get((int) (0.9 * (errors.size() - 1))))
                .as("nine in ten are nearer than")
                .isLessThan(0.20);
    }

    @Test
    void libraryHoldsWhatTheFitGives() throws IOException {
        Map<String, List<ObservedDays>> observed = ObservedEmergence.read();
        List<Crop> crops;
        try (Reader text = Files.newBufferedReader(ObservedEmergence.LIBRARY.resolve("crops.csv"))) {
            crops = CropLibraryReader.readCrops("crops.csv", text);
        }
        assertThat(crops).extracting(crop -> crop.code().written()).containsAll(observed.keySet());
        crops.stream()
                .filter(crop -> observed.containsKey(crop.code().written()))
                .forEach(crop -> {
                    Emergence fit = CardinalFit.fit(
                            observed.get(crop.code().written()),
                            ObservedEmergence.nothingCameUp(
                                    observed.get(crop.code().written())),
                            crop.hardiness() == Hardiness.TENDER
                                    ? CardinalFit.Kin.WARM_SEASON
                                    : CardinalFit.Kin.COOL_SEASON,
                            crop.emergence().spread());
                    for (ObservedDays each : observed.get(crop.code().written())) {
                        double inLibrary = crop.emergence().daysAt(each.temperature());
                        double fitted = fit.daysAt(each.temperature());
                        assertThat(inLibrary / fitted)
                                .as("%s at %s °C; run ./kiver refit", crop.code(), each.temperature())
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
        Emergence fit = CardinalFit.fit(observed, List.of(), CardinalFit.Kin.COOL_SEASON, 0.2);
        assertThat(fit.daysAt(16) / truth.daysAt(16)).isBetween(0.97, 1.03);
        assertThat(fit.temperatures().optimum()).isBetween(26.5, 29.5);
    }

    @Test
    void needsTwoTemperatures() {
        List<ObservedDays> observed = List.of(new ObservedDays(20, 5), new ObservedDays(20, 6));
        assertThatThrownBy(() -> CardinalFit.fit(observed, List.of(), CardinalFit.Kin.COOL_SEASON, 0.2))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("two temperatures");
    }

    /** What frost kills does not come up in frost, and where it was not seen to come up it takes its time. */
    @Test
    void tenderCropsDoNotComeUpInTheCold() throws IOException {
        List<Crop> crops;
        try (Reader text = Files.newBufferedReader(ObservedEmergence.LIBRARY.resolve("crops.csv"))) {
            crops = CropLibraryReader.readCrops("crops.csv", text);
        }
        Map<String, List<ObservedDays>> observed = ObservedEmergence.read();
        assertThat(crops)
                .filteredOn(crop -> crop.hardiness() == Hardiness.TENDER
                        && observed.containsKey(crop.code().written()))
                .hasSizeGreaterThan(8)
                .allSatisfy(crop -> {
                    assertThat(crop.emergence().temperatures().base())
                            .as(crop.code().written())
                            .isGreaterThanOrEqualTo(-1.001);
                    assertThat(crop.emergence().daysAt(5))
                            .as(crop.code() + " at 5 °C")
                            .isGreaterThan(40);
                });
    }
}
