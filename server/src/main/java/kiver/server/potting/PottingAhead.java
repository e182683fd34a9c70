package kiver.server.potting;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.batch.BatchStage;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.crop.Container;
import kiver.core.growth.DateSpread;
import kiver.core.media.Recipe;
import kiver.core.outlook.BatchOutlook;
import kiver.core.pot.PottingNeeds;
import kiver.core.today.TaskKind;
import kiver.core.today.WorkPace;
import kiver.core.today.WorkSize;
import kiver.core.tray.TrayId;
import kiver.server.crop.CropBook;
import kiver.server.media.KeptRecipe;
import kiver.server.media.MediaBook;
import kiver.server.today.HandsBook;
import kiver.server.tray.TrayBook;
import org.springframework.stereotype.Component;

/** What of a batch is to be potted up, from what, into what, and what that takes. */
@Component
class PottingAhead {

    private final TrayBook trays;
    private final CropBook crops;
    private final MediaBook media;
    private final HandsBook hands;

    PottingAhead(TrayBook trays, CropBook crops, MediaBook media, HandsBook hands) {
        this.trays = trays;
        this.crops = crops;
        this.media = media;
        this.hands = hands;
    }

    /**
     * Plants that stand in something alike and go on together.
     *
     * @param trays they stand in, in their order
     */
    record Waiting(Container container, List<TrayId> trays, int plants) {}

    /** Those in the smallest that the batch stands in; nothing where none lives, or it hardens already. */
    Optional<Waiting> waiting(BatchOutlook batch) {
        BatchState state = batch.file().state();
        if (batch.stage().compareTo(BatchStage.HARDENING_OFF) >= 0
                || batch.trouble().isPresent()) {
            return Optional.empty();
        }
        Map<TrayId, Container> containers = new LinkedHashMap<>();
        for (TrayId tray : state.trays()) {
            if (!state.cellsIn(tray, CellCondition.ALIVE).isEmpty()) {
                containers.put(tray, crops.container(trays.tray(tray).container()));
            }
        }
        return containers.values().stream()
                .min(Comparator.comparingDouble(Container::cellVolume))
                .map(smallest -> {
                    List<TrayId> those = containers.entrySet().stream()
                            .filter(each -> each.getValue().code().equals(smallest.code()))
                            .map(Map.Entry::getKey)
                            .toList();
                    return new Waiting(
                            smallest,
                            those,
                            those.stream()
                                    .mapToInt(tray -> state.cellsIn(tray, CellCondition.ALIVE)
                                            .size())
                                    .sum());
                });
    }

    /** The numbers of the trays they stand in. */
    List<Integer> numbers(Waiting waiting) {
        return waiting.trays().stream().map(tray -> trays.tray(tray).number()).toList();
    }

    /** The container of its path that those would go into; empty where they stand in the last. */
    static Optional<Container> next(BatchOutlook batch, Waiting waiting) {
        List<Container> path = batch.containers().containers();
        for (int index = 0; index < path.size() - 1; index++) {
            if (path.get(index).code().equals(waiting.container().code())) {
                return Optional.of(path.get(index + 1));
            }
        }
        return Optional.empty();
    }

    /** What it takes to pot them. */
    static PottingNeeds needs(Waiting waiting, Container into) {
        return new PottingNeeds(
                waiting.plants(), waiting.container(), into, waiting.trays().size());
    }

    /** The day on which they have the leaves for it, most likely. */
    static Optional<LocalDate> from(BatchOutlook batch) {
        return batch.forecast().pottings().stream().findFirst().map(DateSpread::middle);
    }

    /** Minutes of one pair of hands. */
    double minutes(PottingNeeds needs, WorkPace pace) {
        return pace.minutes(TaskKind.POT_ON, new WorkSize(0, needs.plants(), needs.traysFrom() + needs.carriers()));
    }

    WorkPace pace() {
        return hands.pace();
    }

    /** L of loose mix, as this nursery's potting mix packs and as much as is spilled. */
    double litres(PottingNeeds needs) {
        double packing = media.recipes().stream()
                .map(KeptRecipe::recipe)
                .filter(recipe -> recipe.use() == Recipe.Use.POTTING)
                .findFirst()
                .map(recipe -> recipe.handling().packing())
                .orElse(1.0);
        return needs.mix() * packing * (1 + media.mixing().tools().waste());
    }
}
