package kiver.server.outlook;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import kiver.core.outlook.BatchOutlook;
import kiver.core.plan.SowWindow;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import org.springframework.stereotype.Component;

/** When a batch, or one sown in its stead, can be sown for the day on which it is wanted now. */
@Component
public class LastSowDays {

    private final SeasonService seasons;
    private final NurseryClock clock;
    private final Map<Integer, KeptWindow> kept = new ConcurrentHashMap<>();

    private record KeptWindow(BatchOutlook outlook, Optional<SowWindow> window) {}

    LastSowDays(SeasonService seasons, NurseryClock clock) {
        this.seasons = seasons;
        this.clock = clock;
    }

    /** The window of sow days for a batch's present target and places; empty where there is no such day. */
    // An outlook is replaced and never changed; comparing two by value would cost more than the window.
    @SuppressWarnings("ReferenceEquality")
    public Optional<SowWindow> window(BatchOutlook batch) {
        if (batch.file().batch().target().isBefore(clock.today())) {
            return Optional.empty();
        }
        int number = batch.file().batch().number();
        KeptWindow present = kept.get(number);
        if (present != null && present.outlook() == batch) {
            return present.window();
        }
        Optional<SowWindow> window = windowFor(batch, batch.file().batch().target());
        kept.put(number, new KeptWindow(batch, window));
        return window;
    }

    /** The same for another day. */
    public Optional<SowWindow> windowFor(BatchOutlook batch, LocalDate target) {
        // Nothing is sown of plants that are bought in.
        return batch.file().batch().isBoughtIn()
                ? Optional.empty()
                : batch.countBack(seasons.season()).windowFor(target, clock.today());
    }

    /** The last day on which a sowing is ready in time nine times in ten; empty where that is over. */
    public Optional<LocalDate> last(BatchOutlook batch) {
        return window(batch).map(SowWindow::latest).filter(day -> !day.isBefore(clock.today()));
    }
}
