package kiver.server.crop;

import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.crop.Descent;
import kiver.core.crop.LessonsInUse;
import kiver.core.crop.Maturity;
import kiver.server.kept.Kept;
import kiver.server.kept.Revisions;
import kiver.server.problem.Refusal;
import kiver.server.sheet.Retired;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** Finds crops, varieties and containers, and says which entry is wrong when there is none. */
@Component
public class CropBook {

    private final LibraryBook library;
    private final VarietyMapper varieties;
    private final LessonBook lessons;
    private final CoatedLots coated;
    private final Retired retired;

    /** What packets say of when their varieties are ripe, by the variety's number. */
    private final Kept<Map<Long, Maturity>> maturities;

    CropBook(
            LibraryBook library,
            VarietyMapper varieties,
            LessonBook lessons,
            CoatedLots coated,
            Retired retired,
            Revisions revisions) {
        this.retired = retired;
        this.coated = coated;
        maturities = new Kept<>(() -> varieties.all().stream()
                .filter(variety -> variety.maturity().isPresent())
                .collect(Collectors.toMap(
                        Variety::id, variety -> variety.maturity().orElseThrow())));
        revisions.whenChanged("variety", maturities::discard);
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

    /** The crops that are offered: those that the nursery grows. */
    public List<Crop> cropsOffered() {
        return crops().stream()
                .filter(crop -> !retired.is("crops", crop.code().written()))
                .toList();
    }

    /** The containers that are offered: those that it grows in. */
    public List<Container> containersOffered() {
        return containers().stream()
                .filter(container -> !retired.is("containers", container.code().written()))
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
        return lessons.inUse().learnt(untaught(descent), descent);
    }

    /** The crop of that code, with what was learnt of it. */
    public Crop crop(CropCode code) {
        return cropOf(Descent.of(code));
    }

    /** The same for a batch, but for what its own count taught: it goes by that itself. */
    public Crop crop(Descent descent, int batch) {
        return lessons.inUse().learnt(untaught(descent), descent, batch);
    }

    /** The library's crop, with what the packet says of the variety and of the seed. */
    private Crop untaught(Descent descent) {
        Crop crop = ofLibrary(descent.crop());
        Maturity said = maturities.get().get(descent.variety());
        Crop ripe = said == null ? crop : crop.maturing(said.fromPlanting(crop));
        return coated.isCoated(descent.lot()) ? ripe.sownAs(ripe.seed().coated()) : ripe;
    }

    private Crop ofLibrary(CropCode code) {
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

    /** Writes down what a packet says of its variety; what it does not say stays. */
    public void sayOf(long variety, boolean hybrid, @Nullable Maturity maturity) {
        Variety known = variety(variety);
        Maturity said = maturity == null ? known.maturity().orElse(null) : maturity;
        varieties.sayOf(new Variety(
                known.id(),
                known.crop(),
                known.name(),
                hybrid || known.hybrid(),
                said == null ? null : said.days(),
                said == null ? null : said.from()));
        maturities.forget();
    }

    /** Adds a variety, or puts it in the place of the one of that name. */
    void put(Variety variety) {
        varieties.put(variety);
        maturities.forget();
    }

    /** Adds a variety and answers its number. */
    public long add(CropCode crop, String name) {
        crop(crop);
        Long id = varieties.insert(crop, name);
        maturities.forget();
        if (id == null) {
            throw new Refusal(
                    "name",
                    Said.of("There is a variety named \"{name}\" already.").with("name", name));
        }
        return id;
    }
}
