package kiver.server.message;

/** Carries messages to whom they are for; a stand-in ships with the application, a mail server may take its place. */
public interface MessageService {

    /**
     * Carries a message.
     *
     * @throws UndeliverableException when it cannot be carried, with the reason as the service gives it
     */
    void send(String address, String subject, String body) throws UndeliverableException;

    /** A message did not leave. */
    final class UndeliverableException extends Exception {
        /** Why, as the service says. */
        public UndeliverableException(String reason) {
            super(reason);
        }
    }
}
