package kiver.server.potting;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.batch.RootsSeen;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.PotDepth;
import kiver.core.outlook.BatchOutlook;
import kiver.core.pot.PotChoice;
import kiver.core.pot.PotRemark;
import kiver.core.pot.PottingNeeds;
import kiver.core.pot.RootFill;
import kiver.core.space.Occupancy;
import kiver.core.today.WorkPace;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.growth.SeasonService;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.problem.NotFound;
import kiver.server.space.SpaceBook;
import kiver.server.stock.Shed;
import kiver.server.wording.Said;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** When a batch goes into larger pots, into which of those in the shed, and what that takes. */
@RestController("pottingAheadController")
class PottingController {

    /** Room is looked at for so many days: pots stand there for weeks, and after one it can be arranged. */
    private static final int DAYS_OF_ROOM = 7;

    private final BatchAnalyst analyst;
    private final PottingAhead ahead;
    private final CropBook crops;
    private final Shed shed;
    private final SpaceBook space;
    private final SeasonService seasons;
    private final NurseryClock clock;

    PottingController(
            BatchAnalyst analyst,
            PottingAhead ahead,
            CropBook crops,
            Shed shed,
            SpaceBook space,
            SeasonService seasons,
            NurseryClock clock) {
        this.analyst = analyst;
        this.ahead = ahead;
        this.crops = crops;
        this.shed = shed;
        this.space = space;
        this.seasons = seasons;
        this.clock = clock;
    }

    /**
     * How full of roots what plants stand in is.
     *
     * @param index about 0.2 where roots reach the edge, 1 where they circle
     * @param least of its 80 % band
     * @param most of its 80 % band
     * @param looksLike what the hand would see at that index
     * @param seen what it saw last; missing where nobody looked
     */
    record RootsView(
            double index,
            double least,
            double most,
            RootsSeen looksLike,
            @Nullable RootsSeen seen) {}

    /**
     * A container that they could go into.
     *
     * @param planned whether it is the next of the batch's path
     * @param times its volume by that of the plug
     * @param remarks what speaks against it
     * @param cells in one carrier or tray
     * @param columns of them
     * @param pots whether single pots are counted, not whole trays
     * @param litres of loose mix for all of the plants
     * @param slots of bench room that one carrier takes, in trays
     * @param minutes of one pair of hands for all of the plants
     * @param inShed pots or trays there; missing where nobody counted them
     */
    record PotView(
            ContainerCode container,
            String name,
            boolean planned,
            Measures measures,
            double times,
            List<PotRemark> remarks,
            int cells,
            int columns,
            boolean pots,
            double litres,
            double slots,
            double minutes,
            @Nullable Integer inShed) {}

    /** A cell or pot: across at its rim, and deep. */
    record Measures(double widthMillimetres, double depthMillimetres) {}

    /**
     * Plants of a batch that may go on.
     *
     * @param from day on which they have the leaves for it; missing where nothing larger is planned
     * @param by last day on which they should go on; missing where that is not in sight
     * @param plants that stand in the smallest
     * @param standsIn container by name
     * @param slots they take now, in trays
     * @param place they would stand in, by name
     * @param free room there for the coming week, in trays; below 0 where too much stands there
     * @param plug what they stand in
     * @param wanted what a pot should measure at least
     * @param straightOut day on which they are wanted, where that comes before roots circle: fed, they need no pot
     */
    record PottingView(
            RootsView roots,
            @Nullable LocalDate from,
            @Nullable LocalDate by,
            int plants,
            String standsIn,
            double slots,
            String place,
            double free,
            Measures plug,
            Measures wanted,
            PotDepth depth,
            @Nullable LocalDate straightOut,
            List<PotView> pots) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/batches/{number}/potting")
    PottingView potting(@PathVariable int number) {
        BatchOutlook batch = analyst.all().stream()
                .filter(each -> each.number() == number)
                .findFirst()
                .orElseThrow(() -> new NotFound(
                        Said.of("There is no batch {number} in hand.").with("number", number)));
        PottingAhead.Waiting waiting = ahead.waiting(batch)
                .orElseThrow(() -> new NotFound(
                        Said.of("Nothing of batch {number} is to be potted up.").with("number", number)));
        Occupancy occupancy = space.occupancy();
        LocalDate today = clock.today();
        Optional<LocalDate> by = batch.rooting().potBy();
        return new PottingView(
                view(batch),
                PottingAhead.from(batch).orElse(null),
                by.orElse(null),
                waiting.plants(),
                waiting.container().name(),
                waiting.trays().size() * waiting.container().slots(),
                seasons.season().place(batch.way().growingOn()).name(),
                occupancy.free(batch.way().growingOn(), today, today.plusDays(DAYS_OF_ROOM)),
                measures(waiting.container()),
                new Measures(PotChoice.widthFor(waiting.container()), PotChoice.depthFor(waiting.container())),
                batch.crop().cells().potDepth(),
                batch.rooting()
                        .circlesOn()
                        .map(day -> batch.file().batch().target().isAfter(day)
                                ? null
                                : batch.file().batch().target())
                        .orElse(null),
                pots(batch, waiting));
    }

    private List<PotView> pots(BatchOutlook batch, PottingAhead.Waiting waiting) {
        Map<ContainerCode, Integer> inShed = shed.pieces();
        Optional<Container> planned = PottingAhead.next(batch, waiting);
        WorkPace pace = ahead.pace();
        return PotChoice.of(waiting.container(), crops.containers(), waiting.plants(), inShed).stream()
                .map(choice -> {
                    PottingNeeds needs = PottingAhead.needs(waiting, choice.into());
                    return new PotView(
                            choice.into().code(),
                            choice.into().name(),
                            planned.filter(choice.into()::equals).isPresent(),
                            measures(choice.into()),
                            choice.times(),
                            choice.remarks(),
                            choice.into().cells(),
                            choice.into().columns(),
                            choice.into().kind() == Container.Kind.POTS,
                            ahead.litres(needs),
                            choice.into().slots(),
                            ahead.minutes(needs, pace),
                            inShed.get(choice.into().code()));
                })
                .toList();
    }

    private static Measures measures(Container container) {
        return new Measures(container.cellWidth(), container.cellDepth());
    }

    private static RootsView view(BatchOutlook batch) {
        RootFill fill = batch.rooting().fill();
        return new RootsView(
                fill.index(),
                fill.least(),
                fill.most(),
                fill.looksLike(),
                batch.rooting().seen().orElse(null));
    }
}
