package kiver.server.crop;

import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerSheet;
import kiver.core.crop.Crop;
import kiver.core.crop.CropLibrary;
import kiver.core.crop.CropLibraryReader;
import kiver.core.crop.CropSheet;
import kiver.core.crop.LessonAbout.Matter;
import kiver.core.growth.TaughtPace;
import kiver.core.sheet.SheetRow;
import kiver.server.kept.Kept;
import kiver.server.kept.Revisions;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Keeps the nursery's crops and containers. The files of the library are read in at every start; an entry that the
 * nursery has already, changed or not, stays as the nursery has it, but for columns that are new.
 */
@Component
public class LibraryBook {

    private static final String CROP = "crop";
    private static final String CONTAINER = "container";

    private final LibraryMapper mapper;
    private final JsonMapper json;
    private final Path folder;
    private final Kept<CropLibrary> library;
    private final ApplicationEventPublisher listeners;

    LibraryBook(
            LibraryMapper mapper,
            JsonMapper json,
            @Value("${kiver.library}") Path folder,
            Revisions revisions,
            ApplicationEventPublisher listeners) {
        this.mapper = mapper;
        this.json = json;
        this.folder = folder;
        this.listeners = listeners;
        library = new Kept<>(
                () -> new CropLibrary(entries(CROP, CropSheet::read), entries(CONTAINER, ContainerSheet::read)));
        revisions.whenChanged("library_entry", library::discard);
    }

    /** Everything in the library. */
    public CropLibrary library() {
        return library.get();
    }

    /** Adds a crop or puts it in the place of the one with its code. */
    @Transactional
    public void put(Crop crop) {
        Optional<Crop> before = library().crop(crop.code());
        mapper.put(
                CROP,
                crop.code().written(),
                json.writeValueAsString(CropSheet.write(crop).entries()));
        library.forget();
        // What the library keeps is not taught, nor is what is put into it.
        if (before.filter(each -> !each.leaves().equals(crop.leaves().with(TaughtPace.NOTHING)))
                .isPresent()) {
            listeners.publishEvent(new PaceFiguresChanged(Matter.LEAVES, crop.code()));
        }
        if (before.filter(each -> !each.emergence().equals(crop.emergence().with(TaughtPace.NOTHING)))
                .isPresent()) {
            listeners.publishEvent(new PaceFiguresChanged(Matter.EMERGENCE, crop.code()));
        }
    }

    /** Adds a container or puts it in the place of the one with its code. */
    @Transactional
    public void put(Container container) {
        mapper.put(
                CONTAINER,
                container.code().written(),
                json.writeValueAsString(ContainerSheet.write(container).entries()));
        library.forget();
    }

    /** Reads the files in; entries that are known already are left alone. A fault in them stops the start. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void readIn() {
        try (Reader crops = Files.newBufferedReader(folder.resolve("crops.csv"));
                Reader containers = Files.newBufferedReader(folder.resolve("containers.csv"))) {
            for (Crop crop : CropLibraryReader.readCrops("crops.csv", crops)) {
                mapper.add(
                        CROP,
                        crop.code().written(),
                        json.writeValueAsString(CropSheet.write(crop).entries()));
            }
            for (Container container : CropLibraryReader.readContainers("containers.csv", containers)) {
                mapper.add(
                        CONTAINER,
                        container.code().written(),
                        json.writeValueAsString(ContainerSheet.write(container).entries()));
            }
        } catch (IOException unreadable) {
            throw new UncheckedIOException("The library's files cannot be read in " + folder, unreadable);
        }
        library.forget();
    }

    private <T> List<T> entries(String kind, Function<SheetRow, T> read) {
        return mapper.entries(kind).stream()
                .map(entry ->
                        read.apply(new SheetRow(json.readValue(entry, new TypeReference<Map<String, String>>() {}))))
                .toList();
    }
}
