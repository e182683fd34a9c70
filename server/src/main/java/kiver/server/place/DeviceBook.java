package kiver.server.place;

import jakarta.annotation.Nullable;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.server.ResponseStatusException;

/** Keeps the devices that send readings. */
@Component
public class DeviceBook {

    private static final String BEARER = "Bearer ";
    private static final int TOKEN_BYTES = 24;

    private final DeviceMapper mapper;
    private final PlaceBook places;
    private final NurseryClock clock;
    private final SecureRandom random = new SecureRandom();

    DeviceBook(DeviceMapper mapper, PlaceBook places, NurseryClock clock) {
        this.mapper = mapper;
        this.places = places;
        this.clock = clock;
    }

    /** All of them; those that send first. */
    public List<Device> devices() {
        return mapper.all();
    }

    /** What each read last, by device. */
    Map<Long, DeviceMapper.LastSaid> lastSaid() {
        return mapper.lastSaid().stream().collect(Collectors.toMap(DeviceMapper.LastSaid::device, Function.identity()));
    }

    /** The last day that somebody read by hand, by place. */
    Map<Long, LocalDate> lastByHand() {
        return mapper.lastByHand().stream()
                .collect(Collectors.toMap(DeviceMapper.LastByHand::placeId, DeviceMapper.LastByHand::day));
    }

    /**
     * Whose token came with a request.
     *
     * @param authorization the header, "Bearer" and the token; null when there was none
     * @throws ResponseStatusException that the request is not authorized: no token, a wrong one or one withdrawn
     */
    public Device sender(@Nullable String authorization) {
        if (authorization == null || !authorization.startsWith(BEARER)) {
            throw new ResponseStatusException(HttpStatus.UNAUTHORIZED);
        }
        return mapper.byDigest(digest(authorization.substring(BEARER.length()).strip()))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.UNAUTHORIZED));
    }

    /**
     * A new device, and the token that it shows; nobody can be told it again.
     *
     * @param id of the device
     */
    public record Added(long id, String token) {}

    /**
     * Adds a device.
     *
     * @param placeId where it hangs, when that is what it feeds
     * @throws Refusal when there is one of that name, no such place, or nothing to be fed
     */
    @Transactional
    public Added add(String name, Device.Feeds feeds, @Nullable Long placeId) {
        if (feeds != Device.Feeds.PLACE && clock.nursery().orElseThrow().demo()) {
            throw new Refusal(
                    "feeds",
                    Said.of("The demonstration has a station that measures and forecasts; it takes no other."));
        }
        return add(name, feeds, placeId, false);
    }

    /** Adds one whose readings the demonstration makes up. */
    @Transactional
    public void addSimulated(String name, long placeId) {
        add(name, Device.Feeds.PLACE, placeId, true);
    }

    /** Notes that a device was heard of. */
    public void heard(Device device, LocalDateTime at) {
        mapper.heard(device.id(), at);
    }

    private Added add(String name, Device.Feeds feeds, @Nullable Long placeId, boolean simulated) {
        if (feeds == Device.Feeds.PLACE
                && (placeId == null
                        || places.places().stream()
                                .noneMatch(place -> place.id().number() == placeId))) {
            throw new Refusal(
                    "placeId", placeId == null ? Said.of("Choose a place.") : Said.of("This place does not exist."));
        }
        Long hangsAt = feeds == Device.Feeds.PLACE ? placeId : null;
        byte[] bytes = new byte[TOKEN_BYTES];
        random.nextBytes(bytes);
        String token = HexFormat.of().formatHex(bytes);
        long id = mapper.add(name.strip(), feeds, hangsAt, digest(token), clock.today(), simulated)
                .orElseThrow(() -> new Refusal(
                        "name",
                        Said.of("There is a device named \"{name}\" already, or was; choose another name.")
                                .with("name", name.strip())));
        return new Added(id, token);
    }

    /** Takes a device's token back: what it sends from now on is refused, what it sent stays. */
    @Transactional
    public void withdraw(long id) {
        if (mapper.withdraw(id, clock.today()) != 1) {
            throw new NotFound(Said.of("There is no such device, or its token was withdrawn before."));
        }
    }

    private static String digest(String token) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException missing) {
            throw new IllegalStateException(missing);
        }
    }
}
