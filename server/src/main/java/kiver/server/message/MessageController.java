package kiver.server.message;

import java.util.List;
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

    @GetMapping("/api/messages")
    List<Outbox.Message> messages() {
        return outbox.newest();
    }

    @PostMapping("/api/messages/{number}/sendings")
    void again(@PathVariable int number) {
        outbox.again(number);
    }
}
