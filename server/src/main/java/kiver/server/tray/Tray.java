package kiver.server.tray;

import kiver.core.crop.ContainerCode;
import kiver.core.tray.TrayId;

/**
 * A tray with its number written on it.
 *
 * @param id in the database
 * @param number on the tray, from 1001
 * @param container code of its kind
 */
public record Tray(long id, int number, ContainerCode container) {

    /** As the core knows it. */
    public TrayId trayId() {
        return new TrayId(id);
    }

    /** As people say and write it. */
    public String code() {
        return "T" + number;
    }
}
