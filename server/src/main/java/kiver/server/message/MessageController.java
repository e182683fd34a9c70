package kiver.server.message;

import java.util.List;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** The outbox, to be looked at. */
@RestController
class MessageController {

    private final Outbox outbox;

    MessageController(Outbox outbox) {
        this.outbox = outbox;
    }

    @OpenTo(Callers.PROPAGATOR)
    @GetMapping("/api/messages")
    List<Outbox.Message> messages() {
        return outbox.newest();
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/messages/{number}/sendings")
    void again(@PathVariable int number) {
        outbox.again(number);
    }
}
