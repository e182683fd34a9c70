package kiver.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.ContainerSheet;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.crop.CropSheet;
import kiver.core.crop.Survival;
import kiver.core.growth.DateSpread;
import kiver.core.order.FrostDates;
import kiver.core.order.OutdoorSeason;
import kiver.core.order.Protection;
import kiver.core.order.SiteClimate;
import kiver.core.seed.Germination;
import kiver.core.seed.GerminationNodes;
import kiver.core.sheet.SheetText;
import kiver.core.sow.Allowances;
import kiver.core.sow.SowQuantity;
import kiver.core.weather.DayCurve;
import kiver.core.weather.StationClimate;
import kiver.core.weather.StationRecord;
import kiver.core.weather.StationSimulator;
import org.junit.jupiter.api.Test;

/** Every figure of docs/worked-example.md, worked out again. */
class WorkedExampleTest {

    private static final Path ROOT = Path.of("..");
    private static final int PLANTS = 400;
    private static final int HARDENING_DAYS = 5;
    private static final LocalDate WANTED = LocalDate.of(2027, 6, 12);

    @Test
    void theFiguresOfTheDocumentAreThoseOfTheProgram() throws IOException {
        String document = Files.readString(ROOT.resolve("docs/worked-example.md"));
        figures()
                .forEach((name, value) ->
                        assertThat(document).as("the row \"%s\"", name).contains("| " + name + " | " + value + " |"));
    }

    private static Map<String, String> figures() throws IOException {
        Crop kale = SheetText.read(
                        "crops.csv",
                        Files.readString(ROOT.resolve("library/crops.csv")),
                        CropSheet.NAMES,
                        CropSheet::read)
                .stream()
                .filter(crop -> crop.code().equals(new CropCode("curly-kale")))
                .findFirst()
                .orElseThrow();
        Container module = SheetText.read(
                        "containers.csv",
                        Files.readString(ROOT.resolve("library/containers.csv")),
                        ContainerSheet.NAMES,
                        ContainerSheet::read)
                .stream()
                .filter(each -> each.code().equals(new ContainerCode("module-60")))
                .findFirst()
                .orElseThrow();
        Map<String, String> figures = new LinkedHashMap<>();
        int aim = Allowances.USUAL.plantsToAimFor(PLANTS);
        SowQuantity two = new SowQuantity(GerminationNodes.of(new Germination(90, 10)), 2, Survival.USUAL.mean());
        int cells = two.cellsNeeded(aim, Allowances.USUAL.confidence());
        int trays = (cells + module.cells() - 1) / module.cells();
        figures.put("plants to aim for", aim + "");
        figures.put("cells, two seeds each", cells + "");
        figures.put("seeds", 2 * cells + "");
        figures.put("seed, g", figure(2 * cells * kale.seed().thousandSeedWeight() / 1000, 2));
        figures.put("trays", trays + "");
        figures.put("mix, L", figure(trays * module.mixVolume() / 1000, 0));
        double rate = DayCurve.meanOverDay(19, 21, kale.emergence().temperatures()::rate);
        double up = kale.emergence().daysAtBest() / rate;
        figures.put("rate of coming up, against the best", figure(rate, 3));
        figures.put("days until half are up", figure(up, 1));
        double leaves = kale.leaves().leavesPerDayAtBest()
                * DayCurve.meanOverDay(10, 16, kale.leaves().temperatures()::rate);
        figures.put("true leaves a day", figure(leaves, 3));
        figures.put("days from up to four leaves", figure(4 / leaves, 1));
        long lead = Math.round(Math.ceil(up + 4 / leaves + HARDENING_DAYS));
        figures.put("days from sowing to ready", lead + "");
        figures.put("sow day", WANTED.minusDays(lead) + "");
        figures.put("true leaves at its limit in this cell", figure(kale.leafLimitIn(module), 1));
        figures.put("days at its limit in this cell", figure(kale.dayLimitIn(module), 0));
        SiteClimate terrace = SiteClimate.at(1120, 600, Protection.LOW_COVER);
        StationRecord record = StationSimulator.draw(
                new StationClimate(9.2, 10.2, 10.5, 3.2, 0.72),
                new SplittableRandom(600_413),
                LocalDate.of(1996, 1, 1),
                11_427);
        DateSpread frost = FrostDates.of(record, terrace.nightOffset(), 0, true)
                .spring(WANTED)
                .orElseThrow();
        OutdoorSeason season = OutdoorSeason.of(kale, terrace, record, 46.4, WANTED);
        figures.put("the site against the station, K", figure(terrace.offset(), 2));
        figures.put("last 0 °C, one year in ten by", frost.early() + "");
        figures.put("last 0 °C, five in ten by", frost.middle() + "");
        figures.put("last 0 °C, nine in ten by", frost.late() + "");
        figures.put("kale may go out from", season.from() + "");
        figures.put("rule of thumb, sow", season.ruleForSowing(kale).orElseThrow() + "");
        return figures;
    }

    private static String figure(double value, int digits) {
        return String.format(Locale.ROOT, "%." + digits + "f", value);
    }

    /** Prints the rows, for writing the document anew after a change of the library. */
    public static void main(String[] arguments) throws IOException {
        figures().forEach((name, value) -> System.out.println("| " + name + " | " + value + " |"));
    }
}
