package kiver.server.place;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the devices that send readings. */
@Component
public class DeviceBook {

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

    /** The device whose token it is, unless it was withdrawn. */
    public Optional<Device> byToken(String token) {
        return mapper.byDigest(digest(token));
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
     * @throws Refusal when there is one of that name, or no such place
     */
    @Transactional
    public Added add(String name, long placeId) {
        return add(name, placeId, false);
    }

    /** Adds one whose readings the demonstration makes up. */
    @Transactional
    public void addSimulated(String name, long placeId) {
        add(name, placeId, true);
    }

    private Added add(String name, long placeId, boolean simulated) {
        if (places.places().stream().noneMatch(place -> place.id().number() == placeId)) {
            throw new Refusal("placeId", Said.of("This place does not exist."));
        }
        byte[] bytes = new byte[TOKEN_BYTES];
        random.nextBytes(bytes);
        String token = HexFormat.of().formatHex(bytes);
        long id = mapper.add(name.strip(), placeId, digest(token), clock.today(), simulated)
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
