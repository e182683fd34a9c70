package kiver.server.promise;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.Comparator;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Crop;
import kiver.server.crop.CropBook;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** In what, and up to which stage, a crop is raised where nobody says otherwise. */
@Component
class UsualRaising {

    /** mL; the cell that most plants are raised in. */
    private static final double USUAL_CELL = 40;

    private static final int USUAL_LEAVES = 6;
    private static final int LEAVES_BETWEEN = 2;

    private final CropBook crops;

    UsualRaising(CropBook crops) {
        this.crops = crops;
    }

    /** A container, and the true leaves that plants have when they leave it. */
    record Raised(Container container, int leavesFrom, int leavesTo) {

        Wish wish(long variety, int plants, LocalDate target) {
            return new Wish(variety, container.code(), plants, leavesFrom, leavesTo, target, null, null);
        }
    }

    /**
     * How a crop is raised.
     *
     * @param chosen container; null for the one offered that comes nearest to the usual cell and is deep enough for the seed
     */
    Raised of(Crop crop, @Nullable ContainerCode chosen) {
        Container container = chosen == null ? nearestToUsual(crop) : crops.container(chosen);
        int leaves = (int) Math.max(LEAVES_BETWEEN, Math.min(USUAL_LEAVES, Math.floor(crop.leafLimitIn(container))));
        return new Raised(container, Math.max(1, leaves - LEAVES_BETWEEN), leaves);
    }

    private Container nearestToUsual(Crop crop) {
        return crops.containersOffered().stream()
                .filter(each -> each.kind() != Container.Kind.OPEN)
                .filter(each -> each.cellDepth() > crop.seed().depth())
                .min(Comparator.comparingDouble(each -> Math.abs(Math.log(each.cellVolume() / USUAL_CELL))))
                .orElseThrow(() -> new Refusal(
                        "container", Said.of("No container is offered in which this can be sown. Choose one.")));
    }
}
