package kiver.core.batch;

import java.util.List;
import java.util.Set;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;

/**
 * What of the very runs that were asked about last waits to be sown; a list page asks for it several times a batch.
 *
 * @param setAside runs asked about
 * @param left of them
 */
record ToSow(List<CellRun> setAside, List<CellRun> left) {

    static ToSow of(List<CellRun> setAside, Set<TrayId> leftUnsown, List<CellRun> begun) {
        return new ToSow(
                setAside,
                setAside.stream()
                        .filter(run -> !leftUnsown.contains(run.tray()))
                        .flatMap(run -> run.without(begun).stream())
                        .toList());
    }
}
