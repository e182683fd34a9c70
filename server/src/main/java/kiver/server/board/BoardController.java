package kiver.server.board;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kiver.core.batch.BatchStage;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.BatchPlan;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.space.Occupancy;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.batch.BatchBook;
import kiver.server.batch.PlanChanges;
import kiver.server.batch.PlanEdit;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.space.OverflowView;
import kiver.server.space.SpaceBook;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The season on its board: trying, changing, undoing, and drafts. */
@RestController
class BoardController {

    private final Board board;
    private final SpaceBook space;
    private final PlanEdits edits;
    private final PlanChanges plans;
    private final SeasonService seasons;
    private final NurseryClock clock;
    private final BatchBook batches;

    BoardController(
            Board board,
            SpaceBook space,
            PlanEdits edits,
            PlanChanges plans,
            SeasonService seasons,
            NurseryClock clock,
            BatchBook batches) {
        this.batches = batches;
        this.board = board;
        this.space = space;
        this.edits = edits;
        this.plans = plans;
        this.seasons = seasons;
        this.clock = clock;
    }

    /**
     * A change that is tried, or made, in a draft or in the plan itself.
     *
     * @param planVersion of the plan that was seen; a change to one that was changed since is refused
     */
    record EditEntry(
            @NotNull @Valid PlanEdit edit,
            @Nullable Long draft,
            @Nullable Integer planVersion) {}

    /** What a change would do: the batch then, places over-full then, and neighbours that would share their room. */
    record TrialView(
            BoardView.BoardBatch batch, double chanceBefore, List<OverflowView> overflows, List<Integer> neighbours) {}

    /** What was undone. */
    record Undone(Said words) {}

    /** A draft to be begun. */
    record DraftEntry(
            @NotBlank(message = "Give the draft a name.") @Size(max = 60, message = "Use at most 60 letters.")
            String name) {}

    /** A draft begun. */
    record DraftBegun(long id) {}

    /** A batch as it stands and as the draft would have it. */
    record DraftLine(
            int batch,
            String variety,
            boolean boughtIn,
            LocalDate target,
            LocalDate sowDayBefore,
            LocalDate sowDay,
            String placesBefore,
            String places,
            double chanceBefore,
            double chance) {}

    /** A draft beside the plan. */
    record DraftView(
            List<DraftLine> lines,
            double chanceBefore,
            double chance,
            double overflowBefore,
            double overflow,
            int atRiskBefore,
            int atRisk) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/board")
    BoardView season(@RequestParam(required = false) @Nullable Long draft) {
        List<BatchOutlook> batches = board.under(plansOf(draft));
        List<BoardView.BoardBatch> lines = batches.stream()
                .filter(BoardController::underWay)
                .sorted(Comparator.comparing((BatchOutlook batch) -> batch.stage() == BatchStage.READY)
                        .thenComparing(batch -> batch.file().batch().target())
                        .thenComparing(batch -> batch.file().batch().number()))
                .parallel()
                .map(batch -> BoardView.batch(batch, board.window(batch).orElse(null)))
                .toList();
        return new BoardView(
                clock.today(),
                lines,
                seasons.season().places().stream()
                        .map(place -> new BoardView.BoardPlace(
                                place.id().number(),
                                place.name(),
                                place.slots(),
                                place.suits(PlaceUse.EMERGENCE),
                                place.suits(PlaceUse.GROWING_ON),
                                place.suits(PlaceUse.HARDENING_OFF)))
                        .toList(),
                OverflowView.of(space.occupancy(batches)),
                plans.lastWords().orElse(null),
                plans.drafts().stream()
                        .map(each -> new BoardView.DraftName(each.id(), each.name()))
                        .toList());
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/board/trials")
    TrialView tryOut(@Valid @RequestBody EditEntry entry) {
        Map<Integer, BatchPlan> base = plansOf(entry.draft());
        List<BatchOutlook> batches = board.under(base);
        int number = entry.edit().batch();
        BatchOutlook standing = board.batch(number);
        BatchPlan before = base.getOrDefault(number, standing.file().batch().plan());
        BatchOutlook was = base.containsKey(number) ? board.tried(standing, before) : standing;
        BatchOutlook tried = board.tried(standing, edits.edited(standing, before, entry.edit()));
        Occupancy then = space.occupancy(batches).with(number, tried.stays());
        List<OverflowView> overflows = OverflowView.of(then);
        return new TrialView(
                BoardView.batch(tried, null),
                was.chance(),
                overflows,
                overflows.stream()
                        .filter(each -> each.batches().contains(number))
                        .flatMap(each -> each.batches().stream())
                        .filter(each -> each != number)
                        .distinct()
                        .sorted()
                        .toList());
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/board/changes")
    @Transactional
    public void change(@Valid @RequestBody EditEntry entry, @AuthenticationPrincipal Person person) {
        int number = entry.edit().batch();
        batches.lock(number);
        BatchOutlook standing = board.batch(number);
        Batch planned = batches.file(number).batch();
        BatchPlan stands = planned.plan();
        if (entry.draft() == null) {
            edits.requireSeen(planned, entry.planVersion(), entry.edit());
            BatchPlan after = edits.edited(standing, stands, entry.edit());
            plans.change(
                    person.id(),
                    Said.of("Change the plan of batch {batch}").with("batch", number),
                    Map.of(number, after));
        } else {
            BatchPlan before = plansOf(entry.draft()).getOrDefault(number, stands);
            plans.put(entry.draft(), number, edits.edited(standing, before, entry.edit()));
        }
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/board/undo")
    @Transactional
    public Undone undo() {
        return new Undone(plans.undo());
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/drafts")
    @Transactional
    public DraftBegun begin(@Valid @RequestBody DraftEntry entry) {
        return new DraftBegun(plans.begin(entry.name().strip(), clock.today()));
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/drafts/{draft}")
    DraftView compare(@PathVariable long draft) {
        plans.requireDraft(draft);
        Map<Integer, BatchPlan> drafted = plansOf(draft);
        List<BatchOutlook> now = board.under(Map.of());
        List<BatchOutlook> then = board.under(drafted);
        Map<PlaceId, String> names = seasons.placeNames();
        Map<Integer, BatchOutlook> nowByNumber = new HashMap<>();
        now.forEach(batch -> nowByNumber.put(batch.file().batch().number(), batch));
        List<DraftLine> lines = then.stream()
                .filter(batch -> drafted.containsKey(batch.file().batch().number()))
                .map(batch -> line(nowByNumber.get(batch.file().batch().number()), batch, names))
                .toList();
        return new DraftView(
                lines,
                meanChance(now),
                meanChance(then),
                space.occupancy(now).overfullness(),
                space.occupancy(then).overfullness(),
                atRisk(now),
                atRisk(then));
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/drafts/{draft}/taking")
    @Transactional
    public void take(@PathVariable long draft, @AuthenticationPrincipal Person person) {
        plans.take(draft, person.id());
    }

    @OpenTo(Callers.PROPAGATOR)
    @DeleteMapping("/api/drafts/{draft}")
    @Transactional
    public void drop(@PathVariable long draft) {
        plans.drop(draft);
    }

    private Map<Integer, BatchPlan> plansOf(@Nullable Long draft) {
        if (draft == null) {
            return Map.of();
        }
        plans.requireDraft(draft);
        return plans.plansOf(draft);
    }

    private static DraftLine line(BatchOutlook before, BatchOutlook after, Map<PlaceId, String> names) {
        var was = before.file().batch();
        var is = after.file().batch();
        return new DraftLine(
                is.number(),
                is.variety(),
                is.isBoughtIn(),
                is.target(),
                was.sowDay(),
                is.sowDay(),
                places(was.plan(), names),
                places(is.plan(), names),
                before.chance(),
                after.chance());
    }

    private static String places(BatchPlan plan, Map<PlaceId, String> names) {
        return names.get(new PlaceId(plan.emergencePlaceId())) + ", " + names.get(new PlaceId(plan.growingPlaceId()))
                + ", " + names.get(new PlaceId(plan.hardeningPlaceId())) + " · " + plan.lastContainer();
    }

    /** Over the batches that are still under way. */
    private static double meanChance(List<BatchOutlook> batches) {
        return batches.stream()
                .filter(BoardController::underWay)
                .mapToDouble(BatchOutlook::chance)
                .average()
                .orElse(1);
    }

    private static int atRisk(List<BatchOutlook> batches) {
        return (int) batches.stream()
                .filter(BoardController::underWay)
                .filter(batch -> batch.chance() < 0.5)
                .count();
    }

    /** Neither over nor kept as spares of an order that was met. */
    private static boolean underWay(BatchOutlook batch) {
        return batch.stage() != BatchStage.RELEASED
                && batch.stage() != BatchStage.FAILED
                && batch.file().stillWanted() > 0;
    }
}
