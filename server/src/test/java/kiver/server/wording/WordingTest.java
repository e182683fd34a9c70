package kiver.server.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.batch.CellCondition;
import kiver.core.batch.ChangeFault;
import kiver.core.batch.LossReason;
import kiver.core.batch.NameDoubt;
import kiver.core.batch.RootsSeen;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Hardiness;
import kiver.core.diagnosis.FailingNote;
import kiver.core.growth.DateSpread;
import kiver.core.media.MakeOrBuy;
import kiver.core.media.RecipeFault;
import kiver.core.order.Protection;
import kiver.core.outlook.BatchTrouble;
import kiver.core.outlook.ForecastChange;
import kiver.core.outlook.Remedy;
import kiver.core.outlook.SpaceHelp;
import kiver.core.place.PlaceId;
import kiver.core.place.PlacePattern;
import kiver.core.plan.Obstacle;
import kiver.core.plan.SowWindow;
import kiver.core.promise.Offer;
import kiver.core.promise.Proviso;
import kiver.core.release.ReadyCheck;
import kiver.core.sheet.EntryFault;
import kiver.core.sow.PacketBeside;
import kiver.core.sow.TrayCompany;
import kiver.core.today.TaskKind;
import kiver.core.today.WhyNow;
import kiver.server.find.FoundKind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Every kind of reason is worded, and the words can be read aloud. */
class WordingTest {

    private static final Wording WORDING = new Wording();
    static final Map<String, Object> ABOUT = Map.of(
            "Crop",
            "Squash",
            "crop",
            "squash",
            "container",
            "module tray of 60",
            "target",
            "Sun 18 Apr",
            "containerName",
            "Pot of 9 cm",
            "beforeName",
            "Plug tray",
            "placeName",
            "Lit shelf");

    private static final LocalDate TODAY = LocalDate.of(2027, 4, 15);
    private static final Optional<LocalDate> SUNDAY = Optional.of(TODAY.plusDays(3));

    static Stream<Arguments> reasons() {
        return Stream.of(
                Arguments.of(new WhyNow.ToBeSown(TODAY, SUNDAY), "To be sown today. Last safe day: Sun 18 Apr."),
                Arguments.of(
                        new WhyNow.ToBeSown(TODAY.minusDays(2), Optional.of(TODAY.minusDays(1))),
                        "Was to be sown on Tue 13 Apr. The last safe day, Wed 14 Apr, has passed."),
                Arguments.of(
                        new WhyNow.ToArrive(TODAY),
                        "To arrive today. Look at roots, pests and moisture before they stand among the others."),
                Arguments.of(
                        new WhyNow.ToArrive(TODAY.minusDays(2)),
                        "Were to arrive on Tue 13 Apr. Look at roots, pests and moisture before they stand among the others."),
                Arguments.of(
                        new WhyNow.ToBeSoaked(12, TODAY.plusDays(1)),
                        "12 hours in water and no longer, or it drowns; to be sown on Fri 16 Apr."),
                Arguments.of(
                        new WhyNow.ToBeSoaked(2, TODAY),
                        "2 hours in water and no longer, or it drowns; then it is sown."),
                Arguments.of(
                        new WhyNow.RootsHaveOutgrown(RootsSeen.OUT, 40, Optional.of("Pot 9")),
                        "Roots come out below: 40 plants want Pot 9 now."),
                Arguments.of(
                        new WhyNow.RootsHaveOutgrown(RootsSeen.CIRCLING, 1, Optional.empty()),
                        "Roots circle: 1 plant wants to go: offer it earlier or hold it cooler."),
                Arguments.of(
                        new WhyNow.WantsFeed(TODAY.minusDays(1), Optional.of(TODAY.minusDays(8))),
                        "Its mix feeds it no more since Wed 14 Apr. Fed last on Wed 7 Apr."),
                Arguments.of(
                        new WhyNow.WantsFeed(TODAY.plusDays(4), Optional.empty()),
                        "Its mix still feeds until Mon 19 Apr; it is fed as this nursery does. Not fed yet."),
                Arguments.of(new WhyNow.PartSown(1), "Part sown, 1 tray to go."),
                Arguments.of(new WhyNow.PartSown(4), "Part sown, 4 trays to go."),
                Arguments.of(
                        new WhyNow.NightWasCold(-8.2),
                        "The night fell to −8 °C where it stands. Look for losses and note them."),
                Arguments.of(
                        new WhyNow.Short(2, true, 8, SUNDAY),
                        "Short: 2 alive so far, 8 needed. Resow by Sun 18 Apr, or tell the grower."),
                Arguments.of(
                        new WhyNow.Short(2, false, 8, Optional.empty()),
                        "Short: 2 alive, 8 needed. A resowing would be late: offer fewer plants or a later day."),
                Arguments.of(
                        new WhyNow.DueToBeCounted(1, Optional.empty()), "A first cell should be up; none counted yet."),
                Arguments.of(
                        new WhyNow.DueToBeCounted(4, Optional.of(TODAY.minusDays(2))),
                        "About 4 cells should be up; counted last on Tue 13 Apr."),
                Arguments.of(new WhyNow.Late(8, 2), "Late: about 8 cells should be up, 2 were counted."),
                Arguments.of(
                        new WhyNow.IsUp(90, 180),
                        "Up: 90 of 180 cells. Cover off; it needs light and cooler air before it stretches."),
                Arguments.of(
                        new WhyNow.ReadyForPotting(9, "Carrier of 28 pots", SUNDAY),
                        "Has the leaves for it: 9 plants into the carrier of 28 pots by Sun 18 Apr, before their roots circle. Look at the roots of a few first."),
                Arguments.of(
                        new WhyNow.NeedsNoHardening(), "Has its leaves and was raised cool: it can go out at once."),
                Arguments.of(
                        new WhyNow.StandsOverWinter(3, TODAY.plusDays(180)),
                        "Has its leaves and is to stand over winter, cold, until Tue 12 Oct: get it used to the open for 3 days."),
                Arguments.of(
                        new WhyNow.HardeningIsDue(5, TODAY.plusDays(3)),
                        "Has its leaves; hardening takes 5 days and the plants are wanted on Sun 18 Apr."),
                Arguments.of(new WhyNow.HardeningIsDone(1), "Its one day of hardening is done."),
                Arguments.of(new WhyNow.IsWanted(TODAY), "Wanted on Thu 15 Apr; water well before it goes."),
                Arguments.of(new WhyNow.IsWanted(TODAY.minusDays(1)), "Was wanted on Wed 14 Apr."),
                Arguments.of(
                        new WhyNow.SparesAreKept(9, TODAY.minusDays(14)),
                        "9 spares, kept since Thu 1 Apr. Nobody has asked for them: clear the trays."),
                Arguments.of(
                        new WhyNow.PastItsBestTooSoon(TODAY, TODAY.plusDays(3)),
                        "Likely past its best from Thu 15 Apr, before it is wanted on Sun 18 Apr. Hold it cooler or offer it earlier."),
                Arguments.of(
                        new WhyNow.NotReadyInTime(Optional.empty(), TODAY.plusDays(3)),
                        "Not likely ready this season; wanted on Sun 18 Apr. Bring it on warmer or tell the grower."));
    }

    static Stream<Arguments> obstacles() {
        DateSpread spread = new DateSpread(TODAY, TODAY.plusDays(3), TODAY.plusDays(6));
        return Stream.of(
                Arguments.of(
                        new Obstacle.TooFarAhead(TODAY),
                        "Sun 18 Apr lies beyond Thu 15 Apr, the last day that can be looked at. Ask again nearer the time."),
                Arguments.of(
                        new Obstacle.CellTooSmall(3.5, 4),
                        "Squash fills a cell of the module tray of 60 at 3.5 true leaves, fewer than the 4 wanted. Choose larger cells or fewer leaves."),
                Arguments.of(
                        new Obstacle.NeverEmerges(),
                        "Squash would not come up this season where its seed would lie. Choose a warmer or cooler place for it."),
                Arguments.of(
                        new Obstacle.NeverGrows(1),
                        "Squash would not make 1 true leaf this season where it would grow on."),
                Arguments.of(
                        new Obstacle.Outgrows(spread, spread),
                        "On no day can squash be sown in the module tray of 60 so that it is ready and not past its best on Sun 18 Apr."
                                + " Sown today it would most likely be ready on Sun 18 Apr and past its best from Sun 18 Apr. Larger cells or a wider leaf range would help."),
                Arguments.of(
                        new Obstacle.OutgrowsBeforeReady(),
                        "On no day can squash be sown in the module tray of 60 so that it is ready and not past its best on Sun 18 Apr."
                                + " Larger cells or a wider leaf range would help."),
                Arguments.of(
                        new Obstacle.NoSafeDay(SowWindow.Limit.DAYS_IN_CELL, 5),
                        "No sow date is safe on both sides: plants would be late or past their days in the cell."
                                + " Larger cells or a wider leaf range would help."),
                Arguments.of(
                        new Obstacle.NoSafeDay(SowWindow.Limit.LEAVES, 5.5),
                        "No sow date is safe on both sides: plants would be late or past 5.5 true leaves."
                                + " Larger cells or a wider leaf range would help."),
                Arguments.of(
                        new Obstacle.TooLateToSow(spread),
                        "It is too late to sow for Sun 18 Apr. Sown today it would most likely be ready on Sun 18 Apr, and nine times in ten by Wed 21 Apr."),
                Arguments.of(
                        new Obstacle.TooLateForSeason(),
                        "It is too late to sow for Sun 18 Apr. Sown today it would not be ready this season."),
                Arguments.of(
                        new Obstacle.LowChance(0.634),
                        "Even sown on the best day, plants are ready and not past their best on Sun 18 Apr in only 63 % of the years looked at."),
                Arguments.of(
                        new Obstacle.NoSeed(),
                        "There is no seed of this variety in the store. Buy a lot in, or choose another variety."),
                Arguments.of(
                        new Obstacle.TooLittleSeed(1200, 0),
                        "1,200 seeds are needed and none is left in the lot. Choose fewer seeds per cell, another lot, or buy seed."),
                Arguments.of(
                        new Obstacle.SeedToBuy(12, 1, TODAY),
                        "12 seeds are needed and 1 is left in the lot. Choose fewer seeds per cell, another lot, or buy seed by Thu 15 Apr."),
                Arguments.of(
                        new Obstacle.CellTooShallow(25, 40),
                        "The seed lies 25 mm deep in a cell of 40 mm. A deeper cell gives its roots room."),
                Arguments.of(
                        new Obstacle.TooDark(TODAY, 4.24, 6),
                        "Sown on Thu 15 Apr, seedlings have about 4.2 mol of light a day and stretch below 6.0."
                                + " Lamps over them, or a later date, would keep them sturdy."),
                Arguments.of(
                        new Obstacle.FrostAtSite(-0.6, 0.01, TODAY),
                        "Squash is harmed at −1 °C, and at this site that comes after Sun 18 Apr in 1 year of 100."
                                + " It may go out from Thu 15 Apr; a cover or a tunnel would bring that forward."),
                Arguments.of(
                        new Obstacle.SoilNeverWarm(18),
                        "Squash waits for soil of 18 °C, which this site reaches in fewer than half of the years. A tunnel would help."),
                Arguments.of(
                        new Obstacle.ColdSoil(18, spread),
                        "Squash waits for soil of 18 °C. At this site that is most likely on Sun 18 Apr (Thu 15 Apr to Wed 21 Apr)."),
                Arguments.of(
                        new Obstacle.TooLateForAutumn(60, TODAY),
                        "Planted on Sun 18 Apr, squash would not be done before frost and dark: 60 days and what shortening days add lead back to Thu 15 Apr at the latest."),
                Arguments.of(
                        new Obstacle.NotOverWinter(),
                        "Squash does not stand a winter in the cold: choose a hardy kind, or sow in spring."),
                Arguments.of(
                        new Obstacle.NoWinterRest(),
                        "No winter lies between sowing and Sun 18 Apr where they would stand: they would go on growing. Take a colder stand or a day in spring, or sow for the day itself."),
                Arguments.of(
                        new Obstacle.SeedAfterWinter(6),
                        "Squash that goes into winter with 6 true leaves or more runs to seed in spring: order it younger, or sow in spring."),
                Arguments.of(
                        new Obstacle.TooLateBeforeWinter(TODAY.plusDays(200)),
                        "It is too late to sow for a stand over winter: sown today it would not have its leaves by Mon 1 Nov, when growth stops there."),
                Arguments.of(
                        new Obstacle.GroundTooCold(TODAY.plusDays(10), TODAY.plusDays(20)),
                        "On Sun 18 Apr the ground there is too cold for roots: plant until Sun 25 Apr, or from Wed 5 May."),
                Arguments.of(
                        new Obstacle.PotTooLarge(new ContainerCode("pot-9"), new ContainerCode("plug-150"), 12),
                        "Pot of 9 cm holds 12 times a cell of Plug tray; more than about five times stays wet and sour. A step between would help."),
                Arguments.of(
                        new Obstacle.BetterSownInPlace(),
                        "Squash is better sown where it is to stand: its root does not take a cell well. If it must be raised, hand it over young."));
    }

    static Stream<Arguments> provisos() {
        return Stream.of(
                Arguments.of(
                        new Proviso.NoRoom(new PlaceId(3), 1, TODAY, TODAY.plusDays(3)),
                        "Room must be found: Lit shelf lacks 1 tray place from Thu 15 Apr to Sun 18 Apr."),
                Arguments.of(
                        new Proviso.NotThere(new PlaceId(3), TODAY, TODAY.plusDays(3)),
                        "Another place must be found: Lit shelf is not there from Thu 15 Apr to Sun 18 Apr."),
                Arguments.of(
                        new Proviso.MixToBuy("Perlite", 2, TODAY.plusDays(3)),
                        "Mix for it must be bought for: 2 bags of Perlite by Sun 18 Apr."),
                Arguments.of(new Proviso.TooUnlikely(0.336), "Whole and in time it would be only 34 times in 100."),
                Arguments.of(new Proviso.ChanceToLiveWith(0.78), "A chance of 78 in 100 is enough."));
    }

    static Stream<Arguments> remedies() {
        PlaceId shelf = new PlaceId(3);
        return Stream.of(
                Arguments.of(new Remedy.Keep(), "Leave it as it is for Sun 18 Apr."),
                Arguments.of(
                        new Remedy.Hold(shelf, 4.2, SUNDAY),
                        "Hold it in the Lit shelf, 4 K cooler; ready about Sun 18 Apr."),
                Arguments.of(
                        new Remedy.BringOn(shelf, 4.2, Optional.empty()), "Bring it on in the Lit shelf, 4 K warmer."),
                Arguments.of(new Remedy.SowOn(TODAY, TODAY.plusDays(3)), "Sow it on Thu 15 Apr instead of Sun 18 Apr."),
                Arguments.of(
                        new Remedy.Swap(214, List.of("Alder Field", "Low Farm"), TODAY),
                        "Swap with batch 214 for Alder Field and Low Farm, wanted on Thu 15 Apr."),
                Arguments.of(new Remedy.Split(80, 20), "Hand over 80 on the day and sow 20 anew for later."),
                Arguments.of(
                        new Remedy.OtherDay(List.of("Alder Field"), TODAY), "Agree with Alder Field on Thu 15 Apr."),
                Arguments.of(new Remedy.OtherDay(List.of(), TODAY), "Grow it for Thu 15 Apr instead."));
    }

    static Stream<Arguments> worths() {
        return Stream.of(
                Arguments.of(
                        new TrayCompany.Speed("Lettuce", "Parsley", 9),
                        "Parsley comes up 9 days after Lettuce: one wants light and air while the other still wants its cover. Give them trays of their own."),
                Arguments.of(
                        new TrayCompany.Water("Thyme", "Celery"),
                        "Thyme is kept on the dry side and Celery never dries: one can would be wrong for either. Give them trays of their own."),
                Arguments.of(
                        new PacketBeside.SameDays(7, 14, 9),
                        "The packet says 7 to 14 days; half are expected up on day 9 here."),
                Arguments.of(
                        new PacketBeside.OtherWarmth(10, 20, 5, 24, 14.6),
                        "The packet says 10 to 20 days, which is true at about 14.6 °C; here it is 24 °C, and half are expected up on day 5."),
                Arguments.of(
                        new PacketBeside.OtherSeed(2, 3, 8, 6),
                        "The packet says 2 to 3 days; half are expected up on day 8 here, and this kind of plant takes 6 days where it is warm enough. The first counts will tell who is right."),
                Arguments.of(
                        new PacketBeside.PastItsYear(2026),
                        "The packet was to be sown by 2026. Try twenty seeds on damp paper first, or sow thicker."),
                Arguments.of(
                        new PacketBeside.Coated(),
                        "The seed is coated: do not soak it, and keep it moist until the coat has split."),
                Arguments.of(
                        new PacketBeside.OtherDepth(6, 13),
                        "The packet says 6 mm deep; this kind of plant is sown at 13 mm here. Shallower comes up sooner and dries sooner."),
                Arguments.of(
                        new TrayCompany.Warmth("Spinach", "Pepper", 12.4),
                        "Pepper comes up best 12.4 K warmer than Spinach: give them trays and places of their own."),
                Arguments.of(
                        new MakeOrBuy.BuyForSoFew(12, 20),
                        "For 12 plants it is not worth the trouble: buy a bag. From 20 on it is made."),
                Arguments.of(new MakeOrBuy.MakingSaves(12.4), "Making it saves 12.40."),
                Arguments.of(new MakeOrBuy.BuyingSaves(3), "Bought ready it costs 3.00 less."),
                Arguments.of(
                        new MakeOrBuy.NothingToCompare(),
                        "What it costs ready is not known: enter it to see whether making it is worth while."));
    }

    static Stream<Arguments> spaceHelp() {
        PlaceId shelf = new PlaceId(3);
        return Stream.of(
                Arguments.of(new SpaceHelp.OtherPlace(214, shelf), "Put batch 214 in the Lit shelf instead."),
                Arguments.of(new SpaceHelp.CoolerPlace(214, shelf), "Hold batch 214 cooler, in the Lit shelf instead."),
                Arguments.of(new SpaceHelp.SowLater(214, 4, TODAY), "Sow batch 214 4 days later, on Thu 15 Apr."),
                Arguments.of(
                        new SpaceHelp.PotLater(214),
                        "Pot batch 214 on as late as its roots allow; look at them every other day."),
                Arguments.of(
                        new SpaceHelp.TellGrower(214, "Low Farm", 90, 107),
                        "Tell Low Farm that 90 plants of order 107 cannot be met, or move their day."));
    }

    @ParameterizedTest
    @MethodSource({"reasons", "obstacles", "provisos", "remedies", "spaceHelp"})
    void saysWhy(Record why, String words) {
        assertThat(WORDING.say(why, TODAY, ABOUT)).isEqualTo(words);
    }

    @Test
    void saysWhatIsToBeDoneWithWhat() {
        assertThat(doing(TaskKind.LOOK_FOR_FROST, "White Skein (cosmos)"))
                .isEqualTo("Look for frost losses in White Skein (cosmos)");
        assertThat(doing(TaskKind.MOVE_TO_GROW_ON, "Green Anvil")).isEqualTo("Move Green Anvil to grow on");
        for (TaskKind kind : TaskKind.values()) {
            assertThat(doing(kind, "Green Anvil")).matches("[A-Z][a-z ]+Green Anvil( [a-z ]+)?");
        }
    }

    static String doing(TaskKind kind, String plants) {
        return WORDING.say("task." + kind, Map.of("plants", plants));
    }

    /** Only what stands in the way is said as what it is and not as a proviso. */
    @Test
    void everyReasonHasItsWordsAndIsTriedHere() {
        Set<Class<?>> tried = Stream.of(
                        reasons(),
                        obstacles(),
                        provisos(),
                        remedies(),
                        spaceHelp(),
                        HindranceWordsTest.hindrances(),
                        worths(),
                        PotRemarkWordsTest.potRemarks(),
                        TendingWordsTest.reasons(),
                        OutingWordsTest.reasons(),
                        PlantingWordsTest.reasons())
                .flatMap(each -> each)
                .map(each -> each.get()[0].getClass())
                .collect(Collectors.toSet());
        tried.add(Proviso.InTheWay.class);
        assertThat(tried)
                .containsExactlyInAnyOrderElementsOf(
                        Families.ALL.stream().flatMap(Families::kinds).toList());
    }

    @Test
    void noMessageIsLeftOver() {
        Set<String> used =
                Families.ALL.stream().flatMap(Families::kinds).map(Wording::key).collect(Collectors.toSet());
        Arrays.stream(TaskKind.values()).forEach(kind -> used.add("task." + kind));
        Arrays.stream(FoundKind.values()).forEach(kind -> used.add("found." + kind));
        Arrays.stream(Offer.Change.values()).forEach(change -> used.add("offer." + change));
        Stream.of(ChangeFault.class, EntryFault.class, BatchTrouble.class, RecipeFault.class, FailingNote.class)
                .flatMap(Families::kinds)
                .map(Wording::key)
                .forEach(used::add);
        Arrays.stream(ForecastChange.Cause.values()).forEach(cause -> used.add("cause." + cause));
        Arrays.stream(NameDoubt.values()).forEach(doubt -> used.add("doubt." + doubt));
        Arrays.stream(LossReason.values()).forEach(reason -> used.add("loss." + reason));
        Arrays.stream(Protection.values()).forEach(protection -> used.add("protection." + protection));
        Arrays.stream(Hardiness.values()).forEach(hardiness -> used.add("hardiness." + hardiness));
        Arrays.stream(ReadyCheck.values()).forEach(check -> used.add("ready." + check));
        Arrays.stream(PlacePattern.Kind.values()).forEach(kind -> used.add("pattern." + kind));
        Arrays.stream(PlacePattern.Caution.values())
                .filter(caution -> caution != PlacePattern.Caution.NONE)
                .forEach(caution -> used.add("caution." + caution));
        used.remove(Wording.key(Proviso.InTheWay.class));
        // Names of codes are the web's; columns are named after their sheets, which have a test of their own.
        assertThat(WORDING.keys().stream()
                        .filter(key -> !key.matches("(name|column|hint)\\..*"))
                        .toList())
                .containsExactlyInAnyOrderElementsOf(used);
    }

    static Stream<Arguments> faults() {
        return Stream.of(
                Arguments.of(
                        new RecipeFault.PartsOutOfRange("coir", 0, 1000),
                        "The parts of coir cannot be measured; enter more than 0, at most 1,000."),
                Arguments.of(
                        new RecipeFault.ShareOutOfRange(2, 1.4),
                        "Addition 2 is 140 %; enter more than 0, at most 100."),
                Arguments.of(
                        new ChangeFault.PlantIsGone(1200, CellCondition.RELEASED),
                        "The plant of cell 1200 is released already; undo that first if it is wrong."),
                Arguments.of(
                        new ChangeFault.BeforeSowing(TODAY),
                        "The batch was sown on Thu 15 Apr; this cannot have happened before."),
                Arguments.of(
                        new ChangeFault.LaterRestOnIt(new ChangeFault.NoPlantInCell(3)),
                        "This cannot be undone, because later changes rest on it: Cell 3 holds no living plant; take it out of the choice."),
                Arguments.of(
                        new EntryFault.NotOneOf("kind", "bowl", List.of("cells", "pots")),
                        "kind is \"bowl\"; it must be one of these: cells, pots."),
                Arguments.of(
                        new EntryFault.SeparatedBy(EntryFault.Separator.SEMICOLONS),
                        "The columns are separated by semicolons. Save the file separated by commas, with decimal points."),
                Arguments.of(
                        new EntryFault.TooFewHours(TODAY, 1),
                        "Of Thu 15 Apr only 1 hour was read: too few to know its lowest and highest."),
                Arguments.of(
                        new EntryFault.Stuck(TODAY),
                        "The thermometer said the same all Thu 15 Apr, or the same for days on end: it was stuck."),
                Arguments.of(
                        new EntryFault.NoDays(),
                        "No line of this file holds a day beside other figures. A station's file has a line for each day, or for each reading."),
                Arguments.of(
                        new EntryFault.NeverMeasured(-2, 75),
                        "From -2.0 to 75.0 °C was never measured on Earth. Is this in °F, or a slip?"));
    }

    @ParameterizedTest
    @MethodSource("faults")
    void saysWhatIsWrong(Record fault, String words) {
        assertThat(WORDING.say(Said.of(fault))).isEqualTo(words);
    }
}
