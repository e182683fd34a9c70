package kiver.server.tray;

import jakarta.annotation.Nullable;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.tray.TrayId;

/**
 * A tray with its number written on it.
 *
 * @param id in the database
 * @param number on the tray, from 1001
 * @param container code of its kind
 * @param rows that are left of it where it was cut; missing for a whole one
 */
public record Tray(
        long id,
        int number,
        ContainerCode container,
        @Nullable Integer rows) {

    /** What it is now, of what it was when it was whole. */
    public Container of(Container whole) {
        return rows == null ? whole : whole.cutTo(rows);
    }

    /** As the core knows it. */
    public TrayId trayId() {
        return new TrayId(id);
    }

    /** As people say and write it. */
    public String code() {
        return "T" + number;
    }
}
