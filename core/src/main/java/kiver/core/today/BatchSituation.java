package kiver.core.today;

import java.time.LocalDate;
import java.util.Optional;
import kiver.core.batch.BatchState;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.harden.DayOutside;
import kiver.core.outlook.BatchForecast;

/**
 * All about a batch that decides what is to be done with it today.
 *
 * @param state as recorded
 * @param plannedSowDay when it is to be sown
 * @param lastUsefulSowDay sown later it would miss its order in more than one year of ten; empty when unknown
 * @param target the day on which its plants are wanted
 * @param plantsStillWanted of its order, 0 when the order is filled
 * @param lastReleasedOn when plants of it last left, if any did
 * @param cellsExpectedUp by this morning, 0 or more
 * @param verdict on its emergence
 * @param cellsNeeded that must come up for the order
 * @param atEmergencePlace whether it still stands where it was put to come up
 * @param nextContainer that its plants go on into, by name; empty when they stand in their last
 * @param forecast as far as is known today
 * @param outside whether plants in hardening may go out today
 * @param programmeDays that its hardening takes
 * @param traysToSow trays, or parts of them, set aside for it and not sown yet
 * @param plantsAlive on hand, counted as its order counts them
 * @param plantsAccepted fewest that its grower takes as whole
 * @param chanceEnough that so many reach their release, 0 to 1
 * @param boughtIn whether its plants were raised elsewhere and arrive, or arrived, as such
 * @param frostToLookFor °C of the last night that was too cold where it stood, until somebody has looked
 */
public record BatchSituation(
        BatchState state,
        LocalDate plannedSowDay,
        Optional<LocalDate> lastUsefulSowDay,
        LocalDate target,
        int plantsStillWanted,
        Optional<LocalDate> lastReleasedOn,
        double cellsExpectedUp,
        EmergenceVerdict verdict,
        int cellsNeeded,
        boolean atEmergencePlace,
        Optional<String> nextContainer,
        BatchForecast forecast,
        DayOutside outside,
        int programmeDays,
        int traysToSow,
        int plantsAlive,
        int plantsAccepted,
        double chanceEnough,
        boolean boughtIn,
        Optional<Double> frostToLookFor) {}
