package kiver.server.release;

import java.util.List;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Following plants back from a note, and forward from a lot or a mix. */
@RestController
class TraceController {

    private final TraceBack back;
    private final TraceForward forward;

    TraceController(TraceBack back, TraceForward forward) {
        this.back = back;
        this.forward = forward;
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/traces/notes/{number}")
    TraceView.OfNote note(@PathVariable int number) {
        return back.note(number);
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/traces/lots/{id}")
    TraceView.Forward lot(@PathVariable long id) {
        return forward.lot(id);
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/traces/mixes")
    List<TraceView.MixNamed> mixes() {
        return forward.mixes();
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/traces/mix")
    TraceView.Forward mix(@RequestParam String medium) {
        return forward.mix(medium);
    }
}
