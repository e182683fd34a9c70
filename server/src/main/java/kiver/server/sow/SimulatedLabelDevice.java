package kiver.server.sow;

import org.springframework.stereotype.Component;

/** Stands in for a label printer: it takes everything and prints nothing. What it was sent is kept beside it, to be looked at. */
@Component
class SimulatedLabelDevice implements LabelDevice {

    @Override
    public void send(byte[] document) {
        if (document.length == 0) {
            throw new IllegalArgumentException("There is nothing to print.");
        }
    }
}
