package kiver.server.question;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.order.LeafStage;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import kiver.server.order.Grower;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;

/** What this nursery is usually asked for, told by its orders: it fills in what a question leaves unsaid. */
final class Habits {

    private static final LeafStage USUAL_STAGE = new LeafStage(4, 5);

    private final List<OrderedLine> past;
    private final CropBook crops;

    Habits(List<OrderedLine> past, CropBook crops) {
        this.past = past;
        this.crops = crops;
    }

    /** The last order of a variety, else of its crop. */
    private Optional<OrderedLine> last(Variety variety) {
        return past.stream()
                .filter(line -> line.crop().equals(variety.crop()))
                .max(Comparator.comparing((OrderedLine line) -> line.varietyId() == variety.id())
                        .thenComparing(OrderedLine::placedOn));
    }

    /** The container in which a variety is usually wanted. */
    ContainerCode container(Variety variety) {
        return last(variety)
                .map(OrderedLine::container)
                .orElseGet(() -> crops.containers().get(0).code());
    }

    /** The stage at which a variety is usually wanted. */
    LeafStage stage(Variety variety) {
        return last(variety)
                .map(line -> new LeafStage(line.leavesFrom(), line.leavesTo()))
                .orElse(USUAL_STAGE);
    }

    /** The names that may occur in a question, the most usual containers first. */
    Vocabulary vocabulary(OrderBook orders) {
        Map<Long, String> growers = orders.growers().stream().collect(Collectors.toMap(Grower::id, Grower::name));
        Map<ContainerCode, Long> used =
                past.stream().collect(Collectors.groupingBy(OrderedLine::container, Collectors.counting()));
        return new Vocabulary(
                crops.varieties().stream()
                        .map(variety -> new Vocabulary.VarietyName(
                                variety.id(),
                                variety.name(),
                                variety.crop(),
                                crops.cropOf(variety).name()))
                        .toList(),
                orders.sites().stream()
                        .map(site -> new Vocabulary.SiteName(site.id(), site.name(), growers.get(site.growerId())))
                        .toList(),
                crops.containers().stream()
                        .sorted(Comparator.comparing((Container each) -> -used.getOrDefault(each.code(), 0L)))
                        .map(each -> new Vocabulary.ContainerName(each.code(), each.name(), each.cells()))
                        .toList());
    }
}
