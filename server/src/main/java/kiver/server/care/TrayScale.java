package kiver.server.care;

import java.util.OptionalDouble;
import kiver.server.tray.Tray;

/** A scale on the bench that can be asked what it shows. */
public interface TrayScale {

    /** Whether there is one. */
    boolean isThere();

    /** g of a tray that was put on it; empty where there is no scale, or it shows nothing. */
    OptionalDouble show(Tray tray);
}
