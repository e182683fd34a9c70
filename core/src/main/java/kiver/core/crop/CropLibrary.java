package kiver.core.crop;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * All crops and containers that the nursery knows.
 *
 * @param crops in the order of the file, codes unique
 * @param containers in the order of the file, codes unique
 */
public record CropLibrary(List<Crop> crops, List<Container> containers) {

    public CropLibrary {
        crops = List.copyOf(crops);
        containers = List.copyOf(containers);
        byCode(crops, Crop::code);
        byCode(containers, Container::code);
    }

    /** The crop of that code. */
    public Optional<Crop> crop(CropCode code) {
        return crops.stream().filter(crop -> crop.code().equals(code)).findFirst();
    }

    /** The container of that code. */
    public Optional<Container> container(ContainerCode code) {
        return containers.stream()
                .filter(container -> container.code().equals(code))
                .findFirst();
    }

    private static <T, C> Map<C, T> byCode(List<T> entries, Function<T, C> code) {
        return entries.stream()
                .collect(Collectors.toMap(
                        code,
                        Function.identity(),
                        (one, other) -> {
                            throw new IllegalArgumentException("The code " + code.apply(one) + " stands twice.");
                        },
                        LinkedHashMap::new));
    }
}
