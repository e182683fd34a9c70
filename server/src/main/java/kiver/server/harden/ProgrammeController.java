package kiver.server.harden;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import kiver.core.harden.Exposure;
import kiver.core.harden.HardeningProgramme;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The schools of hardening and the nursery's own programmes. */
@RestController
class ProgrammeController {

    private static final int WHOLE_DAY = 24;

    private final ProgrammeBook programmes;

    ProgrammeController(ProgrammeBook programmes) {
        this.programmes = programmes;
    }

    /**
     * A programme.
     *
     * @param name empty for a school
     * @param own whether the nursery wrote it down and can change it
     */
    record ProgrammeView(String code, String name, boolean own, List<ExposureView> days) {}

    /**
     * What one day asks of the plants.
     *
     * @param hours out of doors, 1 to 24
     */
    record ExposureView(int hours, boolean inSun, boolean inWind, Exposure.Night night) {}

    /** A programme that the nursery writes down. */
    record OwnProgramme(
            @NotBlank(message = "Give the programme a name.")
            @Size(max = 60, message = "A name has at most 60 letters.")
            String name,

            @NotEmpty(message = "A programme has at least one day.")
            @Size(max = HardeningProgramme.MOST_DAYS, message = "A programme has at most 30 days.")
            List<@Valid ExposureEntry> days) {}

    /** A day of it. */
    record ExposureEntry(
            @NotNull(message = "Say for how many hours.")
            @Min(value = 1, message = "Enter 1 to 24 hours.")
            @Max(value = WHOLE_DAY, message = "Enter 1 to 24 hours.")
            Integer hours,

            @NotNull(message = "Say whether in the sun.") Boolean inSun,
            @NotNull(message = "Say whether in the wind.") Boolean inWind,

            @NotNull(message = "Say where it spends the night.")
            Exposure.Night night) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/hardening/programmes")
    List<ProgrammeView> all() {
        return programmes.all().stream().map(ProgrammeController::view).toList();
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/hardening/programmes")
    @Transactional
    public ProgrammeView add(@Valid @RequestBody OwnProgramme entry) {
        return put(programmes.nextCode(), entry);
    }

    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/hardening/programmes/{code}")
    @Transactional
    public ProgrammeView change(@PathVariable String code, @Valid @RequestBody OwnProgramme entry) {
        requireOwn(code);
        return put(code, entry);
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/hardening/programmes/{code}/retirements")
    @Transactional
    public void retire(@PathVariable String code) {
        requireOwn(code);
        programmes.retire(code);
    }

    private void requireOwn(String code) {
        if (HardeningProgramme.school(code).isPresent()) {
            throw new Refusal("code", Said.of("This is a school of many growers. Write down a programme of your own."));
        }
        if (programmes.programme(code).isEmpty()) {
            throw new Refusal("code", Said.of("There is no such programme any more. Load the page again."));
        }
    }

    private ProgrammeView put(String code, OwnProgramme entry) {
        String name = entry.name().strip();
        if (programmes.all().stream()
                .anyMatch(each -> !each.code().equals(code) && each.name().equalsIgnoreCase(name))) {
            throw new Refusal("name", Said.of("Another programme has this name. Choose another."));
        }
        HardeningProgramme programme = new HardeningProgramme(
                code,
                name,
                entry.days().stream().map(ProgrammeController::exposure).toList());
        programmes.put(programme);
        return view(programme);
    }

    /** Who spends the night out is out all day. */
    private static Exposure exposure(ExposureEntry day) {
        int hours = day.night() == Exposure.Night.IN ? day.hours() : WHOLE_DAY;
        return new Exposure(hours, day.inSun(), day.inWind(), day.night());
    }

    private static ProgrammeView view(HardeningProgramme programme) {
        return new ProgrammeView(
                programme.code(),
                programme.name(),
                HardeningProgramme.school(programme.code()).isEmpty(),
                programme.exposures().stream()
                        .map(day -> new ExposureView(day.hours(), day.inSun(), day.inWind(), day.night()))
                        .toList());
    }
}
