package kiver.server.sow;

/** Port: a label printer that takes what it is sent as it is, as raw printers on a network do. A simulated one ships with Kiver. */
public interface LabelDevice {

    /**
     * Sends labels to it.
     *
     * @param document PDF, ready to be printed
     * @throws java.io.UncheckedIOException when it cannot be reached
     */
    void send(byte[] document);
}
