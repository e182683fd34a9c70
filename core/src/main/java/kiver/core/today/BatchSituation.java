package kiver.core.today;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.core.batch.BatchState;
import kiver.core.batch.DatedRelease;
import kiver.core.care.FeedClock;
import kiver.core.crop.Container;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.harden.Exposure;
import kiver.core.harden.Outing;
import kiver.core.outlook.BatchForecast;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.HardeningAhead;

/**
 * All about a batch that decides what is to be done with it today.
 *
 * @param outlook of it today
 * @param lastUsefulSowDay sown later it would miss its order in more than one year of ten; empty when unknown
 * @param outing what becomes of today for plants in hardening, by the forecast
 * @param soakedOn when its seed was last laid in water, as somebody ticked off
 * @param feed when it is next fed; empty as long as nothing is up, and where nobody feeds
 * @param frostToLookFor °C of the last night that was too cold where it stood, until somebody has looked
 */
public record BatchSituation(
        BatchOutlook outlook,
        Optional<LocalDate> lastUsefulSowDay,
        Outing outing,
        Optional<LocalDate> soakedOn,
        Optional<FeedClock> feed,
        Optional<Double> frostToLookFor) {

    /** As recorded. */
    BatchState state() {
        return outlook.file().state();
    }

    /** As far as is known today. */
    BatchForecast forecast() {
        return outlook.forecast();
    }

    EmergenceVerdict verdict() {
        return outlook.emerging().verdict();
    }

    /** Cells that should be up by this morning, 0 or more. */
    double cellsExpectedUp() {
        return outlook.emerging().expectedUp();
    }

    /** When it is to be sown, or to arrive. */
    LocalDate plannedSowDay() {
        return outlook.file().batch().sowDay();
    }

    /** Whether its plants were raised elsewhere and arrive, or arrived, as such. */
    boolean boughtIn() {
        return outlook.file().batch().isBoughtIn();
    }

    /** The day on which its plants are wanted. */
    LocalDate target() {
        return outlook.file().batch().target();
    }

    /** Days that its hardening takes. */
    int programmeDays() {
        return outlook.file().batch().hardeningProgramme().days();
    }

    /** Plants promised of it that have not gone. */
    int plantsStillWanted() {
        return outlook.file().plantsStillToGo();
    }

    /** When plants of it last left, if any did. */
    Optional<LocalDate> lastReleasedOn() {
        return state().releases().stream().map(DatedRelease::day).reduce((earlier, later) -> later);
    }

    /** Whether it still stands where it was put to come up, and is to grow on elsewhere. */
    boolean atEmergencePlace() {
        var planned = outlook.file().batch().way();
        return !planned.emergence().equals(planned.growingOn())
                && state().place().filter(planned.emergence()::equals).isPresent();
    }

    /** Whether it comes up where it stays to grow on. */
    boolean comesUpWhereItGrowsOn() {
        var planned = outlook.file().batch().way();
        return planned.emergence().equals(planned.growingOn());
    }

    /** Name of the container that its plants go on into; empty when they stand in their last. */
    Optional<String> nextContainer() {
        int next = outlook.standing().pottingsDone() + 1;
        List<Container> containers = outlook.containers().containers();
        return next < containers.size() ? Optional.of(containers.get(next).name()) : Optional.empty();
    }

    /** Trays, or parts of them, set aside for it and not sown yet. */
    int traysToSow() {
        return outlook.file().toSow().size();
    }

    /** Plants on hand, counted as its order counts them. */
    int plantsAlive() {
        return outlook.file().plantsAlive();
    }

    /** The fewest plants that are enough. */
    int plantsAccepted() {
        return outlook.file().accepted();
    }

    /** What a day of the hardening that goes on asks of it, counted from 1. */
    Exposure exposureOn(int day) {
        return HardeningAhead.programme(outlook).on(day);
    }
}
