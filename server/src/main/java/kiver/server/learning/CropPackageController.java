package kiver.server.learning;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.crop.Crop;
import kiver.core.crop.CropSheet;
import kiver.core.crop.LessonAbout.Matter;
import kiver.core.crop.PaceLessons;
import kiver.core.sheet.EntryRefused;
import kiver.core.sheet.SheetRow;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.LibraryBook;
import kiver.server.crop.PaceTellings;
import kiver.server.problem.FaultyFile;
import kiver.server.problem.FieldProblem;
import kiver.server.problem.Refusal;
import kiver.server.sheet.SheetBook;
import kiver.server.wording.ColumnWords;
import kiver.server.wording.Said;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Crop figures and what batches told of them, given away and taken from others in the open. */
@RestController
class CropPackageController {

    private final LibraryBook library;
    private final SheetBook sheet;
    private final PaceTellings tellings;
    private final ColumnWords words;
    private final NurseryClock clock;
    private final JsonMapper json;

    CropPackageController(
            LibraryBook library,
            List<SheetBook> sheets,
            PaceTellings tellings,
            ColumnWords words,
            NurseryClock clock,
            JsonMapper json) {
        this.library = library;
        sheet = sheets.stream()
                .filter(each -> each.shape().name().equals("crops"))
                .findFirst()
                .orElseThrow();
        this.tellings = tellings;
        this.words = words;
        this.clock = clock;
        this.json = json;
    }

    /** Beside what the nursery has. */
    enum BesideOurs {
        NEW,
        SAME,
        OTHERWISE
    }

    /**
     * A figure that differs.
     *
     * @param column as people call it, with its unit
     * @param ours as it stands here
     * @param theirs as it stands in the package
     */
    record OtherFigure(Said column, String ours, String theirs) {}

    /**
     * What their batches say of a stage.
     *
     * @param times as long as their figures say
     */
    record TheirLesson(Matter stage, double times, int batches) {}

    /** A crop of a package. */
    record PackagedCrop(
            String code, String name, BesideOurs beside, List<OtherFigure> figures, List<TheirLesson> lessons) {}

    /** A package before anything of it is taken. */
    record PackagePreview(List<PackagedCrop> crops) {}

    /** How many crops were taken. */
    record PackageTaken(int crops) {}

    @OpenTo(Callers.PROPAGATOR)
    @GetMapping("/api/data-package")
    ResponseEntity<byte[]> give() {
        List<CropPackage.Evidence> evidence = Stream.of(Matter.EMERGENCE, Matter.LEAVES)
                .flatMap(stage -> evidence(stage).stream())
                .toList();
        CropPackage made = new CropPackage(
                library.library().crops().stream().map(CropSheet::write).toList(), evidence);
        return ResponseEntity.ok()
                .contentType(new MediaType("application", "zip"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"crop-figures.zip\"")
                .body(made.zipped(json, clock.today()));
    }

    private List<CropPackage.Evidence> evidence(Matter stage) {
        PaceLessons lessons = stage == Matter.LEAVES ? tellings.ofLeaves() : tellings.ofEmergence();
        return lessons.crops().stream()
                .sorted((one, other) -> one.written().compareTo(other.written()))
                .flatMap(crop -> lessons.told(crop).stream()
                        .map(each -> new CropPackage.Evidence(
                                crop.written(), stage, Math.exp(each.log()), each.deviation())))
                .toList();
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping(value = "/api/data-package/preview", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    PackagePreview preview(@RequestBody byte[] bytes) {
        CropPackage theirs = CropPackage.read(bytes, json);
        return new PackagePreview(
                read(theirs).stream().map(row -> preview(theirs, row)).toList());
    }

    /** The rows of crops, if all of them can be read; all that cannot are named. */
    private List<SheetRow> read(CropPackage theirs) {
        List<FieldProblem> faults = new ArrayList<>();
        for (int index = 0; index < theirs.crops().size(); index++) {
            try {
                CropSheet.read(theirs.crops().get(index));
            } catch (IllegalArgumentException wrong) {
                long line = index + 2L;
                faults.add(new FieldProblem(
                        "line " + line, FaultyFile.atLine(line, Said.of((Record) EntryRefused.faultOf(wrong)))));
            }
        }
        if (!faults.isEmpty()) {
            throw new FaultyFile(faults);
        }
        return theirs.crops();
    }

    private PackagedCrop preview(CropPackage theirs, SheetRow row) {
        Crop crop = CropSheet.read(row);
        Optional<Crop> ours = library.library().crop(crop.code());
        List<OtherFigure> figures = ours.map(known -> differences(CropSheet.write(known), CropSheet.write(crop)))
                .orElse(List.of());
        BesideOurs beside =
                ours.isEmpty() ? BesideOurs.NEW : figures.isEmpty() ? BesideOurs.SAME : BesideOurs.OTHERWISE;
        List<TheirLesson> lessons = Stream.of(Matter.EMERGENCE, Matter.LEAVES)
                .flatMap(stage -> theirs
                        .lesson(crop.code(), stage)
                        .map(lesson -> new TheirLesson(stage, Math.exp(lesson.log()), lesson.batches()))
                        .stream())
                .toList();
        return new PackagedCrop(crop.code().written(), crop.name(), beside, figures, lessons);
    }

    private List<OtherFigure> differences(SheetRow ours, SheetRow theirs) {
        return CropSheet.NAMES.stream()
                .filter(column -> !ours.text(column).equals(theirs.text(column)))
                .map(column -> new OtherFigure(words.name("crops", column), ours.text(column), theirs.text(column)))
                .toList();
    }

    /** Takes the named crops of a package, or none of them. */
    @OpenTo(Callers.PROPAGATOR)
    @PostMapping(value = "/api/data-package", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @Transactional
    public PackageTaken take(
            @RequestBody byte[] bytes,
            @RequestParam List<String> crop,
            @RequestParam(defaultValue = "false") boolean withLessons) {
        CropPackage theirs = CropPackage.read(bytes, json);
        Map<String, SheetRow> rows = read(theirs).stream()
                .collect(Collectors.toMap(row -> row.words("code"), row -> row, (first, again) -> again));
        Set<String> wanted = Set.copyOf(crop);
        for (String code : wanted) {
            SheetRow row = rows.get(code);
            if (row == null) {
                throw new Refusal(
                        "crop", Said.of("The package has no crop \"{code}\".").with("code", code));
            }
            sheet.put(withLessons ? theirs.withLessons(row) : row);
        }
        return new PackageTaken(wanted.size());
    }
}
