package kiver.server.release;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Crop;
import kiver.core.order.LineId;
import kiver.core.outlook.BatchFile;
import kiver.core.release.PlantOrigin;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.order.Order;
import kiver.server.order.OrderedLine;
import kiver.server.print.Paper;
import kiver.server.print.SheetSize;
import kiver.server.promise.InPlaceBook;
import kiver.server.promise.SownInPlace;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Altitude;
import kiver.server.wording.Grams;
import kiver.server.wording.Said;
import kiver.server.wording.Speech;
import kiver.server.wording.SpokenTo;
import kiver.server.wording.WholeDay;
import kiver.server.wording.Wording;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Prints the note that goes with the plants: what, how many, where every plant came from, and how to plant. */
@Component
class DeliveryNote {

    private static final float LEFT = 20;
    private static final float WIDTH = 170;
    private static final float FOOT = 17;
    private static final float MARK = 6;

    private final BatchBook batches;
    private final InPlaceBook inPlace;
    private final SeedStore seeds;
    private final TrayBook trays;
    private final CropBook crops;
    private final LookedAtBook lookedAt;
    private final HealthBook health;
    private final ReleaseMessages messages;
    private final NurseryClock clock;
    private final Wording wording;

    DeliveryNote(
            BatchBook batches,
            InPlaceBook inPlace,
            SeedStore seeds,
            TrayBook trays,
            CropBook crops,
            LookedAtBook lookedAt,
            HealthBook health,
            ReleaseMessages messages,
            NurseryClock clock,
            Wording wording) {
        this.wording = wording;
        this.batches = batches;
        this.inPlace = inPlace;
        this.seeds = seeds;
        this.trays = trays;
        this.crops = crops;
        this.lookedAt = lookedAt;
        this.health = health;
        this.messages = messages;
        this.clock = clock;
    }

    /** Plants of one sowing in one tray. */
    private record Origin(
            int plants,
            String tray,
            ContainerCode container,
            String sownIn,
            ContainerCode startedIn,
            int batch,
            LocalDate sown,
            SeedLot lot,
            String medium,
            boolean mixed) {

        private Origin with(int number) {
            return new Origin(number, tray, container, sownIn, startedIn, batch, sown, lot, medium, mixed);
        }
    }

    byte[] print(ReleaseMapper.ReleaseRow release, Order order) {
        Map<LineId, List<Origin>> origins = origins(release);
        Map<LineId, SownInPlace> seed = inPlace.onNote(release.number()).stream()
                .collect(Collectors.toMap(SownInPlace::lineId, Function.identity()));
        Map<LineId, LookedAtBook.LookedAt> looked = lookedAt.of(release.number());
        Map<LineId, List<HealthBook.HealthEntry>> entries = health.of(release.number());
        Speech.Language language = SpokenTo.now().language();
        SheetSize sheet = SheetSize.usualFor(language);
        try (Paper paper =
                new Paper(say(Said.of("Delivery note {number}").with("number", release.number())), language.tag())) {
            paper.page(sheet.width(), sheet.height());
            paper.text(Paper.Kind.STRONG, LEFT, 20, 11, nursery());
            paper.text(
                    Paper.Kind.TITLE,
                    LEFT,
                    28,
                    22,
                    say(Said.of("Delivery note {number}{taken, select, true {, taken back} other {}}")
                            .with("number", release.number())
                            .when("taken", origins.isEmpty() && seed.isEmpty())));
            paper.text(
                    LEFT,
                    40,
                    11,
                    say(Said.of("{day}, order {number}")
                            .with("day", new WholeDay(release.day()))
                            .with("number", order.number())));
            paper.text(
                    LEFT,
                    46,
                    11,
                    say(Said.of("To {grower}, {site} ({altitude})")
                            .with("grower", order.grower())
                            .with("site", order.site())
                            .with("altitude", new Altitude(order.altitude()))));
            float next = 54;
            for (OrderedLine line : order.lines()) {
                if (origins.containsKey(line.id())) {
                    next = printLine(paper, line, release.day(), origins.get(line.id()), looked.get(line.id()), next);
                    next = printHealth(
                            paper,
                            entries.getOrDefault(line.id(), List.of()),
                            release.day(),
                            origins.get(line.id()),
                            next);
                }
                if (seed.containsKey(line.id())) {
                    next = printSeed(paper, line, seed.get(line.id()), next);
                }
            }
            next = onPage(paper, next, 42);
            paper.rule(LEFT, next + 2, WIDTH);
            paper.wrapped(
                    LEFT,
                    next + 6,
                    WIDTH,
                    9,
                    say(
                                    Said.of(
                                            "Plant passports and notifiable pests: rules differ by country; ask your local authority. "
                                                    + "Please report losses within a fortnight; a few spares are kept until then."))
                            + messages.page(order.growerId())
                                    .map(page -> " " + say(page))
                                    .orElse(""));
            paper.rule(LEFT, next + 30, WIDTH / 2 - 4);
            paper.text(LEFT, next + 35, 9, say(Said.of("Received, day and name")));
            paper.rule(LEFT + WIDTH / 2 + 4, next + 30, WIDTH / 2 - 4);
            paper.text(LEFT + WIDTH / 2 + 4, next + 35, 9, say(Said.of("Handed over, day and name")));
            return paper.bytes();
        }
    }

    /** The name of the nursery, and where growers ring. */
    private String nursery() {
        return clock.nursery()
                .map(nursery -> nursery.telephone().isEmpty()
                        ? nursery.name()
                        : say(Said.of("{nursery}, telephone {telephone}")
                                .with("nursery", nursery.name())
                                .with("telephone", nursery.telephone())))
                .orElse("");
    }

    private static Said boughtIn(Origin origin) {
        return Said.of(
                        "{plants}{mixed, select, true { mixed} other {}} from tray {tray}: batch {batch}, raised by {supplier}, came as {lot} on {day}")
                .with("plants", origin.plants())
                .when("mixed", origin.mixed())
                .with("tray", origin.tray())
                .with("batch", origin.batch())
                .with("supplier", origin.lot().supplier())
                .with("lot", origin.lot().code())
                .with("day", new WholeDay(origin.sown()));
    }

    /** What happened to plants between their sowing and their going: another container, or only another tray of its kind. */
    private static String since(Origin origin) {
        if (origin.sownIn().equals(origin.tray())) {
            return "stayed";
        }
        return origin.startedIn().equals(origin.container()) ? "moved" : "potted";
    }

    private String say(Said said) {
        return wording.say(said);
    }

    /** What of a line goes along, where it comes from and how to plant it. */
    private float printLine(
            Paper paper,
            OrderedLine line,
            LocalDate released,
            List<Origin> origins,
            LookedAtBook.@Nullable LookedAt looked,
            float top) {
        int plants = origins.stream().mapToInt(Origin::plants).sum();
        float next = onPage(paper, top, 50);
        paper.rule(LEFT, next, WIDTH);
        paper.mark(LEFT, next + 3.5f, MARK, "READY", say(Said.of("Young plants")));
        paper.fitted(
                Paper.Kind.HEADING,
                LEFT + MARK + 2,
                next + 4,
                WIDTH - MARK - 2,
                16,
                say(Said.of("{plants} {variety} ({crop})")
                        .with("plants", plants)
                        .with("variety", line.variety())
                        .with("crop", crops.crop(line.crop()).name())));
        paper.text(
                LEFT,
                next + 12,
                11,
                say(Said.of(
                                "{from} to {to} true leaves, {container}{short, select, true {, of {ordered} ordered} other {}}")
                        .with("from", line.leavesFrom())
                        .with("to", line.leavesTo())
                        .with("container", crops.container(line.container()).name())
                        .when("short", plants < line.plants())
                        .with("ordered", line.plants())));
        paper.text(Paper.Kind.STRONG, LEFT, next + 20, 12, say(Said.of("Where they come from")));
        next += 27;
        for (Origin origin : origins) {
            next = onPage(paper, next, 15);
            next = paper.wrapped(
                    LEFT,
                    next,
                    WIDTH,
                    10,
                    say(
                            origin.medium().isEmpty()
                                    ? boughtIn(origin)
                                    : Said.of(
                                                    "{plants}{mixed, select, true { mixed} other {}} from tray {tray}{other, select, true {, {container}} other {}}{since, select, potted { (sown in {sownIn}, potted on)} moved { (sown in {sownIn}, moved over)} other {}}: batch {batch}, "
                                                            + "sown {sown}, seed lot {lot} ({supplier}), in {medium}")
                                            .with("plants", origin.plants())
                                            .when("mixed", origin.mixed())
                                            .with("tray", origin.tray())
                                            .when("other", !origin.container().equals(line.container()))
                                            .with(
                                                    "container",
                                                    crops.container(origin.container())
                                                            .name())
                                            .with("since", since(origin))
                                            .with("sownIn", origin.sownIn())
                                            .with("batch", origin.batch())
                                            .with("sown", new WholeDay(origin.sown()))
                                            .with("lot", origin.lot().code())
                                            .with("supplier", origin.lot().supplier())
                                            .with("medium", origin.medium())));
        }
        int mixed =
                origins.stream().filter(Origin::mixed).mapToInt(Origin::plants).sum();
        if (mixed > 0) {
            next = onPage(paper, next, 15);
            next = paper.wrapped(LEFT, next, WIDTH, 10, say(NoteLines.mixed(mixed)));
        }
        if (looked != null && looked.sample().wasLookedAt()) {
            next = onPage(paper, next, 15);
            next = paper.wrapped(LEFT, next, WIDTH, 10, say(NoteLines.seen(looked.sample(), wording)));
        }
        next = onPage(paper, next + 4, 30);
        paper.text(Paper.Kind.STRONG, LEFT, next, 12, say(Said.of("How to plant")));
        next += 7;
        for (Said words : PlantingLines.ofReleased(crops.crop(line.crop()), line.target(), released, looked)) {
            next = onPage(paper, next, 15);
            next = paper.wrapped(LEFT, next, WIDTH, 10, say(words)) + 1;
        }
        return next + 8;
    }

    /** What local rules want to be written of the plants, as it was kept when they went. */
    private float printHealth(
            Paper paper, List<HealthBook.HealthEntry> entries, LocalDate released, List<Origin> origins, float top) {
        if (entries.isEmpty()) {
            return top;
        }
        float next = onPage(paper, top - 4, 20);
        paper.text(Paper.Kind.STRONG, LEFT, next, 12, say(Said.of("Plant-health record")));
        next += 7;
        List<String> lots =
                origins.stream().map(origin -> origin.lot().code()).distinct().toList();
        List<String> numbers = origins.stream()
                .map(origin -> String.valueOf(origin.batch()))
                .distinct()
                .toList();
        for (Said words : NoteLines.ofHealth(entries, released, lots, numbers)) {
            next = onPage(paper, next, 15);
            next = paper.wrapped(LEFT, next, WIDTH, 10, say(words));
        }
        return next + 8;
    }

    /** Seed that goes along, and how it is to be sown. */
    private float printSeed(Paper paper, OrderedLine line, SownInPlace sown, float top) {
        float next = onPage(paper, top, 50);
        SeedLot lot = seeds.lot(sown.lotId());
        Crop crop = crops.crop(line.crop());
        paper.rule(LEFT, next, WIDTH);
        paper.mark(LEFT, next + 3.5f, MARK, "SOWN", say(Said.of("Seed")));
        paper.fitted(
                Paper.Kind.HEADING,
                LEFT + MARK + 2,
                next + 4,
                WIDTH - MARK - 2,
                16,
                say(Said.of("Seed for {plants} {variety} ({crop})")
                        .with("plants", sown.plants())
                        .with("variety", line.variety())
                        .with("crop", crop.name())));
        paper.text(
                LEFT,
                next + 12,
                11,
                say(Said.of("{seeds, number} seeds, about {mass}; seed lot {lot} ({supplier})")
                        .with("seeds", sown.seeds())
                        .with("mass", new Grams(sown.seeds() * crop.seed().thousandSeedWeight() / 1000))
                        .with("lot", lot.code())
                        .with("supplier", lot.supplier())));
        paper.text(
                Paper.Kind.STRONG,
                LEFT,
                next + 20,
                12,
                say(Said.of("To be sown in place from {from} to {until}")
                        .with("from", new WholeDay(sown.sowFrom()))
                        .with("until", new WholeDay(sown.sowUntil()))));
        next += 27;
        for (Said words : SowingLines.of(crop, sown.spots(), sown.seedsPerSpot(), Optional.empty())) {
            next = onPage(paper, next, 15);
            next = paper.wrapped(LEFT, next, WIDTH, 10, say(words)) + 1;
        }
        return next + 8;
    }

    /** Where to go on when so much room is needed, mm: here, or at the top of a new page. */
    private static float onPage(Paper paper, float top, float needed) {
        SheetSize sheet = SheetSize.usualFor(SpokenTo.now().language());
        if (top + needed <= sheet.height() - FOOT) {
            return top;
        }
        paper.page(sheet.width(), sheet.height());
        return 20;
    }

    /** Where what left with each line came from, by the line's number in the database. */
    private Map<LineId, List<Origin>> origins(ReleaseMapper.ReleaseRow release) {
        Map<LineId, List<Origin>> origins = new TreeMap<>();
        for (BatchFile file : batches.filesOnNote(release.number())) {
            file.releases().stream()
                    .filter(part -> part.release() == release.number())
                    .forEach(part -> origins.computeIfAbsent(part.line(), line -> new ArrayList<>())
                            .addAll(origins(file, part)));
        }
        return origins;
    }

    private List<Origin> origins(BatchFile file, BatchChange.Released part) {
        return together(PlantOrigin.of(file, part).stream()
                .map(origin -> new Origin(
                        origin.plants(),
                        trays.tray(origin.tray()).code(),
                        trays.tray(origin.tray()).container(),
                        trays.tray(origin.startedIn()).code(),
                        trays.tray(origin.startedIn()).container(),
                        file.batch().number(),
                        origin.day(),
                        seeds.lot(origin.lot()),
                        origin.medium().orElse(""),
                        origin.mixed()))
                .toList());
    }

    /** What came on one day of one lot into one tray is one line, in however many goes it was recorded. */
    private static List<Origin> together(List<Origin> lines) {
        Map<Origin, Integer> plants = new LinkedHashMap<>();
        lines.forEach(line -> plants.merge(line.with(0), line.plants(), Integer::sum));
        return plants.entrySet().stream()
                .map(line -> line.getKey().with(line.getValue()))
                .toList();
    }
}
