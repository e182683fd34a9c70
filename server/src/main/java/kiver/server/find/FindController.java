package kiver.server.find;

import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The one field. */
@RestController
class FindController {

    private static final int MOST_LETTERS = 200;

    private final Finder finder;

    FindController(Finder finder) {
        this.finder = finder;
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/found")
    Found find(@RequestParam String text, @AuthenticationPrincipal Person person) {
        String typed = text.strip();
        if (typed.isEmpty()) {
            throw new Refusal("text", Said.of("Type a number, a code, a name or a day."));
        }
        if (typed.length() > MOST_LETTERS) {
            throw new Refusal("text", Said.of("Use at most 200 letters."));
        }
        return finder.find(typed, person);
    }
}
