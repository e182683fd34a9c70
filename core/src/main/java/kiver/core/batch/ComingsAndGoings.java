package kiver.core.batch;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import kiver.core.tray.CellRun;

/**
 * How a batch's plants came to be in its cells and left with growers, of all that was not taken back.
 *
 * @param sowings by their sequence, earliest first
 * @param arrivals of plants raised elsewhere, likewise
 * @param releases in the order in which they were recorded
 * @param begun runs of cells into which anything was sown or brought, whatever stands in them now
 */
record ComingsAndGoings(
        SortedMap<Integer, BatchState.Sowing> sowings,
        SortedMap<Integer, BatchState.Arrival> arrivals,
        List<DatedRelease> releases,
        List<CellRun> begun) {

    static ComingsAndGoings of(Collection<RecordedChange> changes, Set<Integer> corrected) {
        SortedMap<Integer, BatchState.Sowing> sowings = new TreeMap<>();
        SortedMap<Integer, BatchState.Arrival> arrivals = new TreeMap<>();
        List<DatedRelease> releases = new ArrayList<>();
        List<CellRun> begun = new ArrayList<>();
        for (RecordedChange recorded : changes) {
            if (corrected.contains(recorded.sequence())) {
                continue;
            }
            if (recorded.change() instanceof BatchChange.Sown sown) {
                sowings.put(recorded.sequence(), new BatchState.Sowing(sown, recorded.day()));
                begun.add(sown.run());
            } else if (recorded.change() instanceof BatchChange.BroughtIn arrived) {
                arrivals.put(recorded.sequence(), new BatchState.Arrival(arrived, recorded.day()));
                begun.add(arrived.run());
            } else if (recorded.change() instanceof BatchChange.Released gone) {
                releases.add(new DatedRelease(gone, recorded.day()));
            }
        }
        return new ComingsAndGoings(
                Collections.unmodifiableSortedMap(sowings),
                Collections.unmodifiableSortedMap(arrivals),
                List.copyOf(releases),
                List.copyOf(begun));
    }
}
