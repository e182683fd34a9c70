package kiver.server.space;

import java.time.LocalDate;
import java.util.List;
import kiver.core.crop.Crop;
import kiver.core.growth.Path;
import kiver.core.growth.Way;
import kiver.core.space.Stay;

/**
 * A batch as it takes up room.
 *
 * @param number of the batch
 * @param crop of it
 * @param path it is on
 * @param slotsByContainer bench room in each container of its path
 * @param way it is on
 * @param sowDay planned, or when it was sown
 * @param target day on which its plants are wanted
 * @param sown whether it is sown already
 * @param pinned whether its places were chosen by hand
 * @param stays still to come
 */
public record BatchInSpace(
        int number, Crop crop, Path path, List<Double> slotsByContainer, Way way, LocalDate sowDay, LocalDate target,
        boolean sown, boolean pinned, List<Stay> stays) {}
