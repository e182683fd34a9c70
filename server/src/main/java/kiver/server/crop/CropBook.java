package kiver.server.crop;

import java.util.List;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.crop.Descent;
import kiver.core.crop.LessonsInUse;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** Finds crops, varieties and containers, and says which entry is wrong when there is none. */
@Component
public class CropBook {

    private final LibraryBook library;
    private final VarietyMapper varieties;
    private final LessonBook lessons;

    CropBook(LibraryBook library, VarietyMapper varieties, LessonBook lessons) {
        this.library = library;
        this.varieties = varieties;
        this.lessons = lessons;
    }

    /** All crops, with what was learnt of them. */
    public List<Crop> crops() {
        LessonsInUse learnt = lessons.inUse();
        return library.library().crops().stream()
                .map(crop -> learnt.learnt(crop, Descent.of(crop.code())))
                .toList();
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

    /** The crop of a variety, with what was learnt of both. */
    public Crop cropOf(Variety variety) {
        return cropOf(new Descent(variety.crop(), variety.id(), Descent.ANY));
    }

    /** The crop of some descent, with what was learnt of it. */
    public Crop cropOf(Descent descent) {
        return lessons.inUse().learnt(untaught(descent.crop()), descent);
    }

    /** The crop of that code, with what was learnt of it. */
    public Crop crop(CropCode code) {
        return cropOf(Descent.of(code));
    }

    /** The same for a batch, but for what its own count taught: it goes by that itself. */
    public Crop crop(Descent descent, int batch) {
        return lessons.inUse().learnt(untaught(descent.crop()), descent, batch);
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
