package kiver.server.account;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.Nursery;
import kiver.server.clock.NurseryClock;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What the nursery is called and where growers ring. */
@RestController
class NurseryController {

    private final NurseryClock clock;

    NurseryController(NurseryClock clock) {
        this.clock = clock;
    }

    /**
     * What stands on papers.
     *
     * @param name of the nursery
     * @param telephone where growers ring; empty for none
     */
    record OnPapers(
            @NotBlank(message = "Enter the nursery's name.") @Size(max = 80, message = "Use at most 80 letters.")
            String name,

            @NotNull(message = "Enter a telephone number, or leave it empty.")
            @Size(max = 40, message = "Use at most 40 letters.")
            @Pattern(
                    regexp = "[+0-9 ()/.x-]*",
                    message = "A telephone number has digits, spaces and + ( ) / . - x only.")
            String telephone) {}

    @OpenTo(Callers.PROPAGATOR)
    @GetMapping("/api/nursery")
    OnPapers nursery() {
        Nursery nursery = clock.nursery().orElseThrow();
        return new OnPapers(nursery.name(), nursery.telephone());
    }

    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/nursery")
    void change(@Valid @RequestBody OnPapers entry) {
        clock.call(entry.name().strip(), entry.telephone().strip());
    }
}
