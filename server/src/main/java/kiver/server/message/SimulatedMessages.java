package kiver.server.message;

import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Takes every message and lets nothing leave the house; addresses that can belong to nobody come back, as from a real service. */
@Component
@ConditionalOnProperty(name = "kiver.mail.host", matchIfMissing = true, havingValue = "none")
class SimulatedMessages implements MessageService {

    @Override
    public void send(String address, String subject, String body) throws UndeliverableException {
        if (!address.contains("@") || address.endsWith(".invalid")) {
            throw new UndeliverableException("550 no such mailbox");
        }
    }
}
