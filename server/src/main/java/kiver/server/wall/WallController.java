package kiver.server.wall;

import java.time.LocalDate;
import java.util.List;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.account.Role;
import kiver.server.place.PlaceBook;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.today.WorkAhead;
import kiver.server.wording.Said;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Week and month sheets for the wall, and calendar feeds. */
@RestController
class WallController {

    private static final int MOST_DAYS = 62;

    private final WorkAhead work;
    private final CalendarFeeds feeds;
    private final PlaceBook places;

    WallController(WorkAhead work, CalendarFeeds feeds, PlaceBook places) {
        this.work = work;
        this.feeds = feeds;
        this.places = places;
    }

    /** The part of an address under which a calendar program finds the feed. */
    record FeedAddress(String path) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/work")
    List<WorkAhead.Work> work(@RequestParam LocalDate from, @RequestParam LocalDate to) {
        if (to.isBefore(from) || to.isAfter(from.plusDays(MOST_DAYS))) {
            throw new Refusal("to", Said.of("Choose from 1 to {mostDays} days.").with("mostDays", MOST_DAYS));
        }
        return work.between(from, to);
    }

    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @PostMapping("/api/calendar-feeds/mine")
    FeedAddress mine(@AuthenticationPrincipal Person person) {
        return new FeedAddress("/calendar/" + feeds.tokenOfPerson(person.id()) + ".ics");
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/calendar-feeds/places/{place}")
    FeedAddress ofPlace(@PathVariable long place, @AuthenticationPrincipal Person person) {
        if (person.role() == Role.GROWER
                || places.places().stream().noneMatch(each -> each.id().number() == place)) {
            throw new NotFound(Said.of("There is no such place."));
        }
        return new FeedAddress("/calendar/" + feeds.tokenOfPlace(place) + ".ics");
    }

    @OpenTo(Callers.ANYBODY)
    @GetMapping("/calendar/{token}.ics")
    ResponseEntity<byte[]> calendar(@PathVariable String token) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                .header("Cache-Control", "private, max-age=600")
                .body(feeds.calendar(token));
    }
}
