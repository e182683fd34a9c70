package kiver.server.learning;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.crop.CropSheet;
import kiver.core.crop.Descent;
import kiver.core.crop.LessonAbout.Matter;
import kiver.core.crop.PaceLessons;
import kiver.core.crop.PaceTelling;
import kiver.core.place.PlaceId;
import kiver.core.sheet.Column;
import kiver.core.sheet.EntryFault;
import kiver.core.sheet.EntryRefused;
import kiver.core.sheet.SheetRow;
import kiver.core.sheet.SheetText;
import kiver.server.problem.FaultyFile;
import kiver.server.problem.FieldProblem;
import kiver.server.wording.Said;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A nursery's crop figures with their evidence as a tabular data package: a zipped folder with CSV files and a descriptor in
 * JSON. Nothing in it names a person, a grower, a place, a variety or a lot.
 *
 * <p>Reference: the Data Package and Tabular Data Resource specifications of the Frictionless Standards, version 1
 * (specs.frictionlessdata.io).
 *
 * @param crops rows of their figures, as the sheet of crops has them
 * @param evidence what batches told
 */
record CropPackage(List<SheetRow> crops, List<Evidence> evidence) {

    private static final String DESCRIPTOR = "datapackage.json";
    private static final String CROPS = "crops";
    private static final String EVIDENCE = "evidence";
    private static final List<String> EVIDENCE_COLUMNS = List.of("crop", "stage", "batch", "times", "deviation");

    /** Unzipped, a package is no larger: what is packed small may be meant to fill the disk. */
    private static final int MOST_BYTES = 8_000_000;

    private static final int MOST_FILES = 50;

    /**
     * What one batch told.
     *
     * @param crop code
     * @param stage it went through
     * @param times as long as the figures say, above 0
     * @param deviation of the logarithm of that, above 0
     */
    record Evidence(String crop, Matter stage, double times, double deviation) {

        PaceTelling telling(int number) {
            return new PaceTelling(number, Descent.of(new CropCode(crop)), new PlaceId(1), Math.log(times), deviation);
        }
    }

    /** What the batches of one crop say together of a stage; empty where none told of it. */
    Optional<PaceLessons.Lesson> lesson(CropCode crop, Matter stage) {
        List<PaceTelling> told = new ArrayList<>();
        for (Evidence each : evidence) {
            if (each.stage() == stage) {
                told.add(each.telling(told.size() + 1));
            }
        }
        PaceLessons lessons = new PaceLessons(told);
        return lessons.told(crop).isEmpty() ? Optional.empty() : Optional.of(lessons.ofCrop(crop));
    }

    /** As a zipped folder. */
    byte[] zipped(JsonMapper json, LocalDate created) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes, StandardCharsets.UTF_8)) {
            put(zip, DESCRIPTOR, json.writerWithDefaultPrettyPrinter().writeValueAsString(descriptor(created)));
            put(zip, CROPS + ".csv", SheetText.written(CropSheet.NAMES, crops));
            put(
                    zip,
                    EVIDENCE + ".csv",
                    SheetText.written(
                            EVIDENCE_COLUMNS,
                            IntStream.range(0, evidence.size())
                                    .mapToObj(index -> SheetText.row(
                                            EVIDENCE_COLUMNS,
                                            evidence.get(index).crop(),
                                            evidence.get(index).stage().name().toLowerCase(Locale.ROOT),
                                            index + 1,
                                            evidence.get(index).times(),
                                            evidence.get(index).deviation()))
                                    .toList()));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return bytes.toByteArray();
    }

    private static void put(ZipOutputStream zip, String name, String text) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(text.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }

    private static Map<String, Object> descriptor(LocalDate created) {
        Map<String, Object> descriptor = new LinkedHashMap<>();
        descriptor.put("profile", "tabular-data-package");
        descriptor.put("name", "crop-figures");
        descriptor.put("title", "Crop figures of a nursery, with what its batches told");
        descriptor.put("created", created + "T00:00:00Z");
        descriptor.put(
                "resources",
                List.of(
                        resource(
                                CROPS,
                                CropSheet.COLUMNS.stream()
                                        .map(CropPackage::field)
                                        .toList(),
                                List.of("code")),
                        resource(
                                EVIDENCE,
                                List.of(
                                        Map.of(
                                                "name",
                                                "crop",
                                                "type",
                                                "string",
                                                "constraints",
                                                Map.of("required", true)),
                                        Map.of(
                                                "name",
                                                "stage",
                                                "type",
                                                "string",
                                                "constraints",
                                                Map.of("required", true, "enum", List.of("emergence", "leaves"))),
                                        Map.of("name", "batch", "type", "integer"),
                                        Map.of("name", "times", "type", "number"),
                                        Map.of("name", "deviation", "type", "number")),
                                List.of("batch"))));
        return descriptor;
    }

    private static Map<String, Object> field(Column column) {
        Map<String, Object> field = new LinkedHashMap<>();
        field.put("name", column.name());
        field.put("type", "string");
        Map<String, Object> constraints = new LinkedHashMap<>();
        if (!column.mayLack() && column.name().equals("code")) {
            constraints.put("required", true);
        }
        if (!column.choices().isEmpty()) {
            constraints.put("enum", column.choices());
        }
        if (!constraints.isEmpty()) {
            field.put("constraints", constraints);
        }
        return field;
    }

    private static Map<String, Object> resource(String name, List<Map<String, Object>> fields, List<String> key) {
        return Map.of(
                "profile",
                "tabular-data-resource",
                "name",
                name,
                "path",
                name + ".csv",
                "encoding",
                "utf-8",
                "schema",
                Map.of("fields", fields, "primaryKey", key));
    }

    /**
     * Reads a zipped folder.
     *
     * @throws FaultyFile naming all that is wrong with it
     */
    static CropPackage read(byte[] bytes, JsonMapper json) {
        Map<String, byte[]> files = unzipped(bytes);
        byte[] descriptor = files.get(DESCRIPTOR);
        if (descriptor == null) {
            throw faulty(Said.of("This is no data package: there is no {file} in it.")
                    .with("file", DESCRIPTOR));
        }
        Map<String, String> paths = paths(descriptor, json);
        byte[] crops = file(files, paths, CROPS).orElseThrow(() -> faulty(Said.of("The package tells of no crops.")));
        String name = paths.get(CROPS);
        List<SheetRow> rows =
                SheetText.lines(name, SheetText.decoded(name, crops), Column.required(CropSheet.COLUMNS)).stream()
                        .map(SheetText.Line::row)
                        .toList();
        List<Evidence> evidence = file(files, paths, EVIDENCE)
                .map(told -> SheetText.read(
                        paths.get(EVIDENCE),
                        SheetText.decoded(paths.get(EVIDENCE), told),
                        List.of("crop", "stage", "times", "deviation"),
                        CropPackage::evidence))
                .orElse(List.of());
        return new CropPackage(rows, evidence);
    }

    private static Evidence evidence(SheetRow row) {
        return new Evidence(
                row.words("crop"),
                Matter.valueOf(
                        row.oneOf("stage", List.of("emergence", "leaves")).toUpperCase(Locale.ROOT)),
                above(row, "times"),
                above(row, "deviation"));
    }

    private static double above(SheetRow row, String column) {
        double number = row.number(column);
        if (!(number > 0.01 && number < 100)) {
            throw new EntryRefused(new EntryFault.NotANumber(column, row.text(column)));
        }
        return number;
    }

    private static Optional<byte[]> file(Map<String, byte[]> files, Map<String, String> paths, String resource) {
        return Optional.ofNullable(paths.get(resource))
                .map(path -> Optional.ofNullable(files.get(path))
                        .orElseThrow(() -> faulty(Said.of("The package names {file}, which is not in it.")
                                .with("file", path))));
    }

    /** Where each resource lies; one that lies elsewhere than in the package is not fetched. */
    private static Map<String, String> paths(byte[] descriptor, JsonMapper json) {
        try {
            JsonNode resources = json.readTree(descriptor).path("resources");
            Map<String, String> paths = new HashMap<>();
            for (JsonNode resource : resources) {
                String path = resource.path("path").asString("");
                if (!path.isEmpty()) {
                    paths.put(resource.path("name").asString(""), path);
                }
            }
            return paths;
        } catch (JacksonException unreadable) {
            throw faulty(Said.of("The description of the package, {file}, cannot be read.")
                    .with("file", DESCRIPTOR));
        }
    }

    private static Map<String, byte[]> unzipped(byte[] bytes) {
        Map<String, byte[]> files = new HashMap<>();
        int read = 0;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes), StandardCharsets.UTF_8)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                byte[] content = zip.readNBytes(MOST_BYTES + 1 - read);
                read += content.length;
                if (read > MOST_BYTES || files.size() >= MOST_FILES) {
                    throw faulty(Said.of("The package is too large to be one of crop figures."));
                }
                files.put(entry.getName(), content);
            }
        } catch (IOException | IllegalArgumentException unreadable) {
            throw faulty(Said.of("This file cannot be unpacked. Choose a zipped data package."));
        }
        if (files.isEmpty()) {
            throw faulty(Said.of("This file cannot be unpacked. Choose a zipped data package."));
        }
        return files;
    }

    private static FaultyFile faulty(Said problem) {
        return new FaultyFile(List.of(new FieldProblem("file", problem)));
    }

    /** A crop's row with what its batches said put into its figures. */
    SheetRow withLessons(SheetRow row) {
        Crop crop = CropSheet.read(row);
        Map<String, String> entries = new LinkedHashMap<>(row.entries());
        lesson(crop.code(), Matter.EMERGENCE)
                .ifPresent(lesson -> entries.put(
                        "emergence_days_at_best",
                        SheetText.figure(crop.emergence().daysAtBest() * Math.exp(lesson.log()))));
        lesson(crop.code(), Matter.LEAVES)
                .ifPresent(lesson -> entries.put(
                        "leaves_per_day",
                        SheetText.figure(crop.leaves().leavesPerDayAtBest() / Math.exp(lesson.log()))));
        return new SheetRow(entries);
    }
}
