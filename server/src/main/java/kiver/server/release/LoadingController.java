package kiver.server.release;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kiver.core.release.Sharing;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What is to go: shared out between all due orders, picked on one walk, loaded by the round. */
@RestController
class LoadingController {

    private static final Pattern BY_HAND = Pattern.compile("(\\d{1,9})/(\\d{1,4})=(\\d{1,6})");

    /** Looking further ahead than this shares out what others will be ready to meet. */
    private static final int MOST_DAYS_AHEAD = 30;

    private final LoadingViews views;
    private final RoundBook round;
    private final NurseryClock clock;

    LoadingController(LoadingViews views, RoundBook round, NurseryClock clock) {
        this.views = views;
        this.round = round;
        this.clock = clock;
    }

    /** The round, site by site. */
    record RoundEntry(
            @NotNull(message = "Name the sites in the order in which you drive to them.")
            @Size(max = 2000, message = "Name at most 2,000 sites.")
            List<@NotNull Long> sites) {}

    /**
     * What goes until a day.
     *
     * @param until last target day, today or later; today where it is missing
     * @param rule by which shortages are shared
     * @param share shares set by hand, each as order/line=plants
     */
    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/loading")
    LoadingView loading(
            @RequestParam(required = false) @Nullable LocalDate until,
            @RequestParam(defaultValue = "DATE_PROMISED") Sharing rule,
            @RequestParam(defaultValue = "") List<String> share) {
        LocalDate today = clock.today();
        LocalDate last = until == null ? today : until;
        if (last.isBefore(today) || last.isAfter(today.plusDays(MOST_DAYS_AHEAD))) {
            throw new Refusal(
                    "until",
                    Said.of("Look from {first} to {last}.")
                            .with("first", today)
                            .with("last", today.plusDays(MOST_DAYS_AHEAD)));
        }
        return views.until(last, rule, byHand(share));
    }

    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/loading/round")
    @Transactional
    public void round(@Valid @RequestBody RoundEntry entry) {
        round.set(entry.sites());
    }

    private static Map<LoadingViews.OrderAndLine, Integer> byHand(List<String> shares) {
        Map<LoadingViews.OrderAndLine, Integer> set = new HashMap<>();
        for (String share : shares) {
            Matcher parts = BY_HAND.matcher(share);
            if (!parts.matches()) {
                throw new Refusal("share", Said.of("Write a share as order/line=plants, for example 114/1=30."));
            }
            set.put(
                    new LoadingViews.OrderAndLine(Integer.parseInt(parts.group(1)), Integer.parseInt(parts.group(2))),
                    Integer.parseInt(parts.group(3)));
        }
        return set;
    }
}
