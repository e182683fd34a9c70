package kiver.server.crop;

import java.util.List;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.crop.LeafLessons;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** Finds crops, varieties and containers, and says which entry is wrong when there is none. */
@Component
public class CropBook {

    private final LibraryBook library;
    private final VarietyMapper varieties;
    private final LeafTellings tellings;

    CropBook(LibraryBook library, VarietyMapper varieties, LeafTellings tellings) {
        this.library = library;
        this.varieties = varieties;
        this.tellings = tellings;
    }

    /** All crops, with what counts of their leaves taught. */
    public List<Crop> crops() {
        LeafLessons lessons = tellings.lessons();
        return library.library().crops().stream().map(lessons::taught).toList();
    }

    /** All containers. */
    public List<Container> containers() {
        return library.library().containers();
    }

    /** All varieties by name. */
    public List<Variety> varieties() {
        return varieties.all();
    }

    /** The variety of that number. */
    public Variety variety(long id) {
        return varieties
                .byId(id)
                .orElseThrow(() -> new Refusal("varietyId", Said.of("This variety is not in the library.")));
    }

    /** The crop of a variety. */
    public Crop cropOf(Variety variety) {
        return crop(variety.crop());
    }

    /** The crop of that code, with what counts of its leaves taught. */
    public Crop crop(CropCode code) {
        return tellings.lessons().taught(untaught(code));
    }

    /** The same for a batch of it, but for what its own count taught: it goes by that itself. */
    public Crop crop(CropCode code, int batch) {
        return tellings.lessons().taught(untaught(code), batch);
    }

    private Crop untaught(CropCode code) {
        return library.library()
                .crop(code)
                .orElseThrow(() -> new Refusal(
                        "crop",
                        Said.of("The crop \"{code}\" is not in the library.").with("code", code.written())));
    }

    /** The container of that code. */
    public Container container(ContainerCode code) {
        return library.library()
                .container(code)
                .orElseThrow(() -> new Refusal(
                        "container",
                        Said.of("The container \"{code}\" is not in the library.")
                                .with("code", code.written())));
    }

    /** Adds a variety and answers its number. */
    public long add(CropCode crop, String name) {
        crop(crop);
        Long id = varieties.insert(crop, name);
        if (id == null) {
            throw new Refusal(
                    "name",
                    Said.of("There is a variety named \"{name}\" already.").with("name", name));
        }
        return id;
    }
}
