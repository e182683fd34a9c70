package kiver.server.board;

import jakarta.annotation.Nullable;
import kiver.core.crop.ContainerCode;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.BatchPlan;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.plan.ContainerPath;
import kiver.server.batch.PlanEdit;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.growth.SeasonService;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** Turns what was dragged into a plan, and refuses what cannot be. */
@Component
class PlanEdits {

    private final NurseryClock clock;
    private final SeasonService seasons;
    private final CropBook crops;

    PlanEdits(NurseryClock clock, SeasonService seasons, CropBook crops) {
        this.clock = clock;
        this.seasons = seasons;
        this.crops = crops;
    }

    /** Refuses an edit of a plan that was changed since it was seen, and says both. */
    void requireSeen(Batch planned, @Nullable Integer seenVersion, PlanEdit edit) {
        if (seenVersion != null && seenVersion != planned.planVersion()) {
            throw new Refusal(
                    "planVersion",
                    Said.of(
                                    "The plan of batch {planned} was changed by somebody else meanwhile: it is to be sown on {sowDay} in {container}{more}. Look at it as it stands and change it again.")
                            .with("planned", planned.number())
                            .with("sowDay", planned.sowDay())
                            .with(
                                    "container",
                                    crops.container(planned.containerCodes().get(0))
                                            .name())
                            .with(
                                    "more",
                                    edit.sowDay() == null
                                            ? Said.of("")
                                            : Said.of("; you wanted {sowDay}").with("sowDay", edit.sowDay())));
        }
    }

    /** The plan after an edit of the plan before. */
    BatchPlan edited(BatchOutlook batch, BatchPlan before, PlanEdit edit) {
        boolean sown = batch.file().state().sownOn().isPresent();
        if (sown
                && (edit.sowDay() != null
                        || edit.emergencePlaceId() != null
                        || edit.container() != null
                        || edit.containerPath() != null)) {
            throw new Refusal(
                    "batch",
                    Said.of("Batch {batch} is sown; only the places to come can be changed.")
                            .with("batch", edit.batch()));
        }
        if (edit.sowDay() != null && edit.sowDay().isBefore(clock.today())) {
            throw new Refusal(
                    "sowDay",
                    Said.of("That day has passed; the first day to sow is today, {today}.")
                            .with("today", clock.today()));
        }
        if (edit.sowDay() != null && edit.sowDay().isAfter(clock.today().plusDays(Wish.DAYS_AHEAD))) {
            throw new Refusal(
                    "sowDay",
                    Said.of("Kiver looks {daysAhead} days ahead; choose an earlier day.")
                            .with("daysAhead", Wish.DAYS_AHEAD));
        }
        BatchPlan plan = before;
        if (edit.sowDay() != null) {
            plan = plan.sownOn(edit.sowDay());
        }
        boolean placed =
                edit.emergencePlaceId() != null || edit.growingPlaceId() != null || edit.hardeningPlaceId() != null;
        plan = new BatchPlan(
                plan.sowDay(),
                plan.latestSowDay(),
                place(edit.emergencePlaceId(), PlaceUse.EMERGENCE, "emergencePlaceId", plan.emergencePlaceId()),
                place(edit.growingPlaceId(), PlaceUse.GROWING_ON, "growingPlaceId", plan.growingPlaceId()),
                place(edit.hardeningPlaceId(), PlaceUse.HARDENING_OFF, "hardeningPlaceId", plan.hardeningPlaceId()),
                plan.pinned() || placed,
                plan.containerPath(),
                plan.containers(),
                edit.pottedLate() == null ? plan.pottedLate() : edit.pottedLate(),
                plan.overWinter());
        if (edit.container() != null || edit.containerPath() != null) {
            ContainerCode last = edit.container() == null ? plan.lastContainer() : edit.container();
            ContainerPath.Kind kind = edit.containerPath() == null ? ContainerPath.Kind.STRAIGHT : edit.containerPath();
            plan = plan.in(ContainerPath.of(kind, crops.container(last), batch.crop(), crops.containers())
                    .orElseThrow(() ->
                            new Refusal("containerPath", Said.of("The nursery has no containers for this path."))));
        }
        return plan;
    }

    private long place(@Nullable Long wanted, PlaceUse use, String field, long before) {
        if (wanted == null) {
            return before;
        }
        Place place = seasons.season().places().stream()
                .filter(each -> each.id().equals(new PlaceId(wanted)))
                .findFirst()
                .orElseThrow(() -> new Refusal(field, Said.of("This place does not exist.")));
        if (!place.suits(use)) {
            throw new Refusal(field, Said.of("{place} is not used for that.").with("place", place.name()));
        }
        return wanted;
    }
}
