package kiver.server.release;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.batch.BatchStage;
import kiver.core.crop.Container;
import kiver.core.growth.Season;
import kiver.core.order.LineId;
import kiver.core.outlook.BatchOutlook;
import kiver.core.place.Place;
import kiver.core.release.Pick;
import kiver.core.release.Sharing;
import kiver.server.batch.PutAway;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.growth.SeasonService;
import kiver.server.order.Grower;
import kiver.server.order.Order;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.order.Site;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.springframework.stereotype.Component;

/** Puts together what is to go until a day. */
@Component
class LoadingViews {

    private final OrderBook orders;
    private final BatchAnalyst analyst;
    private final ReleaseService releases;
    private final RoundBook round;
    private final TrayBook trays;
    private final CropBook crops;
    private final SeasonService seasons;
    private final NurseryClock clock;

    LoadingViews(
            OrderBook orders,
            BatchAnalyst analyst,
            ReleaseService releases,
            RoundBook round,
            TrayBook trays,
            CropBook crops,
            SeasonService seasons,
            NurseryClock clock) {
        this.orders = orders;
        this.analyst = analyst;
        this.releases = releases;
        this.round = round;
        this.trays = trays;
        this.crops = crops;
        this.seasons = seasons;
        this.clock = clock;
    }

    /** A line as people call it. */
    record OrderAndLine(int order, int line) {}

    LoadingView until(LocalDate last, Sharing rule, Map<OrderAndLine, Integer> byHand) {
        LocalDate today = clock.today();
        List<Order> open = orders.open(today.minusYears(1), PutAway.on(today, clock.latitude()));
        List<OrderedLine> due = open.stream()
                .flatMap(order -> order.wanted().stream())
                .filter(line -> !line.target().isAfter(last))
                .toList();
        List<BatchOutlook> all = analyst.all();
        Map<LineId, Integer> gone =
                releases.goneByLine(due.stream().map(OrderedLine::id).toList(), all);
        List<Loading.Due> wanted = due.stream()
                .map(line -> new Loading.Due(line, line.plants() - gone.getOrDefault(line.id(), 0)))
                .filter(each -> each.wanted() > 0
                        && each.line().plants() - each.wanted() < each.line().accepted())
                .toList();
        Map<LineId, Integer> shares = wanted.stream()
                .map(Loading.Due::line)
                .filter(line -> byHand.containsKey(called(line)))
                .collect(Collectors.toMap(OrderedLine::id, line -> byHand.get(called(line))));
        List<Loading.Group> groups = new Loading(all, trays.containers(), rule, shares)
                .groups(wanted).stream()
                        .filter(group -> group.ready() > 0)
                        .sorted(Comparator.comparing((Loading.Group group) -> !group.isShort())
                                .thenComparing(group ->
                                        group.lines().get(0).due().line().target()))
                        .toList();
        Map<Long, Order> orderOf = open.stream().collect(Collectors.toMap(Order::id, Function.identity()));
        List<LoadingView.Drop> drops = drops(groups, orderOf);
        return new LoadingView(
                last,
                rule,
                groups.stream().map(group -> view(group, orderOf, all)).toList(),
                walk(groups, orderOf, all, drops),
                drops);
    }

    private static OrderAndLine called(OrderedLine line) {
        return new OrderAndLine(line.orderNumber(), line.position());
    }

    private LoadingView.GroupView view(Loading.Group group, Map<Long, Order> orderOf, List<BatchOutlook> all) {
        OrderedLine first = group.lines().get(0).due().line();
        return new LoadingView.GroupView(
                first.variety(),
                crops.crop(first.crop()).name(),
                crops.container(first.container()).name(),
                group.ready(),
                group.wanted(),
                group.kept(),
                group.reserve(),
                group.lines().stream()
                        .map(each -> new LoadingView.ShareView(
                                each.due().line().orderNumber(),
                                each.due().line().position(),
                                orderOf.get(each.due().line().orderId()).grower(),
                                each.due().line().target(),
                                each.due().line().placedOn(),
                                each.due().wanted(),
                                each.share(),
                                each.byHand(),
                                plants(each.picks())))
                        .toList(),
                group.isShort() ? substitutes(first, all) : List.of());
    }

    /** Other varieties of the crop that are ready, and of which some are free. */
    private List<LoadingView.Substitute> substitutes(OrderedLine line, List<BatchOutlook> all) {
        LocalDate today = clock.today();
        return all.stream()
                .filter(batch -> batch.stage() == BatchStage.READY
                        && batch.trouble().isEmpty()
                        && batch.crop().code().equals(line.crop())
                        && batch.file().batch().varietyId() != line.varietyId()
                        && batch.file().batch().container().equals(line.container()))
                .map(batch -> new LoadingView.Substitute(
                        batch.number(),
                        batch.file().batch().variety(),
                        batch.file().shares(today).free()))
                .filter(each -> each.plants() > 0)
                .toList();
    }

    private List<LoadingView.PickStop> walk(
            List<Loading.Group> groups,
            Map<Long, Order> orderOf,
            List<BatchOutlook> all,
            List<LoadingView.Drop> drops) {
        Season season = seasons.season();
        Map<Integer, BatchOutlook> batches =
                all.stream().collect(Collectors.toMap(BatchOutlook::number, Function.identity()));
        Map<Integer, Integer> loads = new LinkedHashMap<>();
        drops.stream()
                .filter(drop -> drop.load() != null)
                .forEach(drop -> drop.orders().forEach(order -> loads.put(order.order(), drop.load())));
        Map<Integer, List<LoadingView.TrayPick>> byPlace = new TreeMap<>();
        Map<Integer, String> names = new LinkedHashMap<>();
        for (Loading.Shared shared : lines(groups)) {
            OrderedLine line = shared.due().line();
            for (Pick pick : shared.picks()) {
                Tray tray = trays.tray(pick.tray());
                Container container = tray.of(crops.container(tray.container()));
                BatchOutlook batch = batches.get(pick.batch());
                Place place =
                        season.place(batch.file().state().placeOf(pick.tray()).orElse(batch.place()));
                names.put(place.walkingOrder(), place.name());
                byPlace.computeIfAbsent(place.walkingOrder(), order -> new ArrayList<>())
                        .add(new LoadingView.TrayPick(
                                tray.number(),
                                container.rows(),
                                container.columns(),
                                pick.cells(),
                                pick.plants(),
                                pick.wholeTray(),
                                pick.batch(),
                                line.variety(),
                                line.orderNumber(),
                                line.position(),
                                orderOf.get(line.orderId()).grower(),
                                loads.getOrDefault(line.orderNumber(), 0)));
            }
        }
        return byPlace.entrySet().stream()
                .map(stop -> new LoadingView.PickStop(
                        names.get(stop.getKey()),
                        stop.getValue().stream()
                                .sorted(Comparator.comparing(LoadingView.TrayPick::tray))
                                .toList()))
                .toList();
    }

    /** What is handed over last is loaded first. */
    private List<LoadingView.Drop> drops(List<Loading.Group> groups, Map<Long, Order> orderOf) {
        Map<Long, List<Loading.Shared>> bySite = lines(groups).stream()
                .filter(each -> plants(each.picks()) > 0)
                .collect(Collectors.groupingBy(each -> each.due().line().siteId()));
        Map<Long, String> growers = orders.growers().stream().collect(Collectors.toMap(Grower::id, Grower::name));
        List<LoadingView.Drop> drops = new ArrayList<>();
        int stops = 0;
        for (Site site : round.sites()) {
            List<Loading.Shared> going = bySite.getOrDefault(site.id(), List.of());
            Integer stop = going.isEmpty() ? null : ++stops;
            drops.add(new LoadingView.Drop(
                    site.id(),
                    site.name(),
                    growers.getOrDefault(site.growerId(), ""),
                    site.altitude(),
                    stop,
                    stop == null ? null : bySite.size() - stop + 1,
                    going(going, orderOf)));
        }
        return drops;
    }

    private static List<LoadingView.Going> going(List<Loading.Shared> lines, Map<Long, Order> orderOf) {
        Map<Long, List<Loading.Shared>> byOrder = lines.stream()
                .collect(Collectors.groupingBy(each -> each.due().line().orderId(), TreeMap::new, Collectors.toList()));
        return byOrder.entrySet().stream()
                .map(order -> new LoadingView.Going(
                        orderOf.get(order.getKey()).number(),
                        orderOf.get(order.getKey()).target(),
                        order.getValue().stream()
                                .sorted(Comparator.comparing(
                                        each -> each.due().line().position()))
                                .map(each -> new LoadingView.GoingLine(
                                        each.due().line().position(),
                                        each.due().line().variety(),
                                        plants(each.picks()),
                                        each.due().wanted()))
                                .toList()))
                .toList();
    }

    private static List<Loading.Shared> lines(Collection<Loading.Group> groups) {
        return groups.stream().flatMap(group -> group.lines().stream()).toList();
    }

    private static int plants(List<Pick> picks) {
        return picks.stream().mapToInt(Pick::plants).sum();
    }
}
