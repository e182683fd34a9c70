package kiver.server.play;

import jakarta.annotation.Nullable;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.Optional;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.account.SigningIn;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Begins and ends a season played in a copy of the nursery; in the copy, opens it and lets its days pass. */
@RestController
class PlayController {

    private final Plays plays;
    private final Optional<PlayedNursery> played;
    private final SigningIn signingIn;
    private final String address;

    PlayController(
            Plays plays,
            Optional<PlayedNursery> played,
            SigningIn signingIn,
            @Value("${kiver.play.address:}") String address) {
        this.plays = plays;
        this.played = played;
        this.signingIn = signingIn;
        this.address = address;
    }

    /**
     * How the play stands.
     *
     * @param on whether there is one
     * @param mine whether it is that of whoever asks
     * @param year whose weather is played
     * @param from day on which it began
     * @param address at which it is reached, where the installation names one; otherwise this one's with the port
     * @param port at which it is reached, once it is open
     * @param word by which it opens, for whoever plays
     */
    record PlayView(
            boolean on,
            boolean mine,
            @Nullable Integer year,
            @Nullable LocalDate from,
            @Nullable Plays.Stage stage,
            @Nullable String address,
            @Nullable Integer port,
            @Nullable String word) {}

    /** In which year's weather. */
    record PlayBeginning(
            @NotNull(message = "Choose a year.") Integer year) {}

    /** The word by which a copy opens. */
    record PlayWord(
            @NotNull(message = "Open the copy from the page that began it.")
            String word) {}

    /** How many days pass, and whether hands do the round on them. */
    record PlayedDays(
            @NotNull(message = "Say how many days.")
            @Min(value = 1, message = "Let at least one day pass.")
            @Max(value = 28, message = "Let at most 28 days pass at once.")
            Integer days,

            boolean handsWork) {}

    /** The day it is then. */
    record PlayedDay(LocalDate today) {}

    @OpenTo(Callers.PROPAGATOR)
    @GetMapping("/api/play")
    PlayView standing(@AuthenticationPrincipal Person person) {
        return plays.standing()
                .map(now -> view(now, person))
                .orElseGet(() -> new PlayView(false, false, null, null, null, null, null, null));
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/play")
    PlayView begin(@Valid @RequestBody PlayBeginning entry, @AuthenticationPrincipal Person person) {
        return view(plays.begin(person.id(), entry.year()), person);
    }

    @OpenTo(Callers.PROPAGATOR)
    @DeleteMapping("/api/play")
    void end() {
        plays.end();
    }

    private PlayView view(Plays.Standing now, Person person) {
        boolean mine = now.account() == person.id();
        boolean open = mine && now.stage() == Plays.Stage.OPEN;
        return new PlayView(
                true,
                mine,
                now.year(),
                now.from(),
                now.stage(),
                open && !address.isBlank() ? address : null,
                open ? now.port() : null,
                open ? now.word() : null);
    }

    @OpenTo(Callers.ANYBODY)
    @PostMapping("/api/play/door")
    void open(@Valid @RequestBody PlayWord entry, HttpServletRequest request, HttpServletResponse response) {
        if (!played().opensBy(entry.word())) {
            throw new Refusal("word", Said.of("This copy is not there any more, or is somebody else's."));
        }
        signingIn.keep(played().account(), request, response);
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/play/days")
    PlayedDay letDaysPass(@Valid @RequestBody PlayedDays entry) {
        return new PlayedDay(played().letDaysPass(entry.days(), entry.handsWork()));
    }

    private PlayedNursery played() {
        return played.orElseThrow(() -> new NotFound(Said.of("No season is played here.")));
    }
}
