package kiver.server.outlook;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import kiver.core.growth.DateSpread;
import kiver.core.outlook.BatchForecast;
import kiver.core.outlook.BatchOutlook;

/**
 * The days of a batch.
 *
 * @param sowDay when it was sown, or is planned to be
 * @param emerged when the median seedling is up
 * @param pottings still to come, in order
 * @param stageReached when there are leaves enough to begin hardening
 * @param ready when it will be ready, or was
 * @param pastLimit when it will be past its best
 * @param target day for which it is grown
 * @param overWinter whether its plants stand over winter, cold, until then
 */
public record BatchDates(
        LocalDate sowDay,
        @Nullable DateSpread emerged,
        List<DateSpread> pottings,
        @Nullable DateSpread stageReached,
        @Nullable DateSpread ready,
        @Nullable DateSpread pastLimit,
        LocalDate target,
        boolean overWinter) {

    public static BatchDates of(BatchOutlook outlook) {
        BatchForecast forecast = outlook.forecast();
        var state = outlook.file().state();
        DateSpread ready = state.hardenedOn()
                .map(day -> new DateSpread(day, day, day))
                .orElse(forecast.ready().orElse(null));
        return new BatchDates(
                state.sownOn().orElse(outlook.file().batch().sowDay()),
                forecast.emerged().orElse(null),
                forecast.pottings(),
                forecast.stageReached().orElse(null),
                ready,
                forecast.pastLimit().orElse(null),
                outlook.file().batch().target(),
                outlook.file().batch().plan().overWinter());
    }
}
