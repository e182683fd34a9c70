package kiver.server.crop;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.crop.Hardiness;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.problem.Refusal;
import kiver.server.sheet.RowsInUse;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Which of the library's crops and containers the nursery uses, picked one by one or from a set. */
@RestController
class GrownController {

    private static final String CROPS = "crops";
    private static final String CONTAINERS = "containers";

    private final CropBook crops;
    private final StarterSets sets;
    private final RowsInUse inUse;

    GrownController(CropBook crops, StarterSets sets, RowsInUse inUse) {
        this.crops = crops;
        this.sets = sets;
        this.inUse = inUse;
    }

    /** A crop of the library. */
    record LibraryCrop(String code, String name, Hardiness hardiness, boolean inUse) {}

    /** A container of the library. */
    record LibraryContainer(String code, String name, boolean inUse) {}

    /** Everything there is to pick from. */
    record LibraryView(List<LibraryCrop> crops, List<LibraryContainer> containers, List<StarterSets.StarterSet> sets) {}

    /** The codes of what is grown, and in what. */
    record Grown(
            @NotNull @NotEmpty(message = "Pick at least one crop.")
            List<@NotNull String> crops,

            @NotNull @NotEmpty(message = "Pick at least one container.")
            List<@NotNull String> containers) {}

    @OpenTo(Callers.PROPAGATOR)
    @GetMapping("/api/grown")
    LibraryView library() {
        Set<Crop> grown = Set.copyOf(crops.cropsOffered());
        Set<Container> used = Set.copyOf(crops.containersOffered());
        return new LibraryView(
                crops.crops().stream()
                        .map(crop -> new LibraryCrop(
                                crop.code().written(), crop.name(), crop.hardiness(), grown.contains(crop)))
                        .toList(),
                crops.containers().stream()
                        .map(container -> new LibraryContainer(
                                container.code().written(), container.name(), used.contains(container)))
                        .toList(),
                sets.sets());
    }

    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/grown")
    @Transactional
    public void grow(@Valid @RequestBody Grown grown, @AuthenticationPrincipal Person person) {
        choose(
                CROPS,
                grown.crops(),
                crops.crops().stream().map(crop -> crop.code().written()).collect(Collectors.toSet()),
                person);
        choose(
                CONTAINERS,
                grown.containers(),
                crops.containers().stream()
                        .map(container -> container.code().written())
                        .collect(Collectors.toSet()),
                person);
    }

    private void choose(String sheet, List<String> codes, Set<String> known, Person by) {
        codes.stream().filter(code -> !known.contains(code)).findFirst().ifPresent(code -> {
            throw new Refusal(
                    sheet, Said.of("\"{code}\" is not in the library.").with("code", code));
        });
        inUse.choose(sheet, Set.copyOf(codes), by.id());
    }
}
