package kiver.server.today;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.server.stock.StoreSpots;
import org.springframework.stereotype.Component;

/** What is fetched from the store for a day's sowing, in walking order. */
@Component
class FromTheStore {

    private final StoreSpots spots;

    FromTheStore(StoreSpots spots) {
        this.spots = spots;
    }

    /**
     * What is fetched from the store.
     *
     * @param code by which the store knows it
     * @param amount trays, litres of a mix, or seeds
     * @param supplier of a packet; empty for the rest
     */
    record Fetched(StoreSpots.Kind kind, String code, String name, double amount, String supplier) {}

    /**
     * A stop of the walk through the store.
     *
     * @param spot empty for what has none
     */
    record StoreStop(String spot, List<Fetched> things) {}

    /** The stops of the walk for some sowings. */
    List<StoreStop> stops(List<SowingList.Group> groups) {
        Map<Fetched, StoreSpots.Thing> things = new LinkedHashMap<>();
        Stream.of(containers(groups), mixes(groups), packets(groups))
                .flatMap(List::stream)
                .forEach(each -> things.put(each, new StoreSpots.Thing(each.kind(), each.code())));
        return spots.walk(things).entrySet().stream()
                .map(stop -> new StoreStop(stop.getKey(), stop.getValue()))
                .toList();
    }

    /** Trays of each container; one that is shared by several groups is fetched once. */
    private static List<Fetched> containers(List<SowingList.Group> groups) {
        return groups.stream()
                .collect(Collectors.groupingBy(SowingList.Group::container, LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .map(alike -> new Fetched(
                        StoreSpots.Kind.CONTAINER,
                        alike.get(0).container().written(),
                        alike.get(0).containerName(),
                        alike.stream()
                                .flatMap(group -> group.sowings().stream())
                                .flatMap(sowing -> sowing.runs().stream())
                                .map(SowingList.RunToSow::tray)
                                .distinct()
                                .count(),
                        ""))
                .toList();
    }

    private static List<Fetched> mixes(List<SowingList.Group> groups) {
        return groups.stream()
                .filter(group -> group.recipe() != null)
                .collect(Collectors.groupingBy(SowingList.Group::recipe, LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .map(alike -> new Fetched(
                        StoreSpots.Kind.MIX,
                        alike.get(0).recipe(),
                        alike.get(0).recipeName(),
                        alike.stream().mapToDouble(SowingList.Group::litres).sum(),
                        ""))
                .toList();
    }

    /** Packets; a lot that several batches are sown of is one. */
    private static List<Fetched> packets(List<SowingList.Group> groups) {
        return groups.stream()
                .flatMap(group -> group.sowings().stream())
                .collect(Collectors.groupingBy(SowingList.Sowing::lot, LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .map(alike -> new Fetched(
                        StoreSpots.Kind.PACKET,
                        alike.get(0).lot(),
                        alike.get(0).variety(),
                        alike.stream().mapToInt(SowingList.Sowing::seeds).sum(),
                        alike.get(0).supplier()))
                .toList();
    }
}
