package kiver.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.CropCode;
import org.junit.jupiter.api.Test;

class CanonicalTextTest {

    private record Counts(int tray, Map<Integer, Integer> cells, Set<String> seen, Optional<Integer> days) {}

    @Test
    void mapsAndSetsAreWrittenAlikeHoweverTheyAreGoneThrough() {
        assertThat(CanonicalText.of(counts(List.of(1, 2, 3)))).isEqualTo(CanonicalText.of(counts(List.of(3, 1, 2))));
    }

    @Test
    void whatDiffersIsWrittenOtherwise() {
        Counts counts = new Counts(7, Map.of(1, 2), Set.of("a"), Optional.of(5));
        assertThat(List.of(
                        new Counts(8, Map.of(1, 2), Set.of("a"), Optional.of(5)),
                        new Counts(7, Map.of(2, 1), Set.of("a"), Optional.of(5)),
                        new Counts(7, Map.of(1, 2), Set.of("b"), Optional.of(5)),
                        new Counts(7, Map.of(1, 2), Set.of("a"), Optional.empty())))
                .allSatisfy(other ->
                        assertThat(CanonicalText.of(List.of(other))).isNotEqualTo(CanonicalText.of(List.of(counts))));
    }

    @Test
    void listsKeepTheirOrderAndMayLackSomething() {
        assertThat(CanonicalText.of(Arrays.asList("b", null, "a"))).isEqualTo("[b, null, a]");
    }

    private record Planned(ContainerCode container, CropCode crop) {}

    private record Earlier(String container, String crop) {}

    @Test
    void codesLookAsTheyDidBeforeTheyWereValuesOfTheirOwn() {
        assertThat(CanonicalText.of(new Planned(new ContainerCode("module-60"), new CropCode("leek"))))
                .isEqualTo(CanonicalText.of(new Earlier("module-60", "leek")).replace("Earlier", "Planned"));
    }

    private static Counts counts(List<Integer> order) {
        Map<Integer, Integer> cells = new LinkedHashMap<>();
        Set<String> seen = new LinkedHashSet<>();
        order.forEach(cell -> {
            cells.put(cell, 10 * cell);
            seen.add("cell " + cell);
        });
        return new Counts(7, cells, seen, Optional.of(5));
    }
}
