package kiver.server.find;

import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import kiver.server.account.AccountMapper;
import kiver.server.account.Person;
import kiver.server.account.Role;
import kiver.server.batch.BatchBook;
import kiver.server.crop.CropBook;
import kiver.server.order.Grower;
import kiver.server.order.OrderBook;
import kiver.server.place.PlaceBook;
import kiver.server.question.SaidDay;
import kiver.server.seed.SeedStore;
import kiver.server.wording.Said;
import kiver.server.wording.Wording;
import org.springframework.stereotype.Component;

/** Finds whatever has a number, a code, a name or a day. */
@Component
class Finder {

    private final FindMapper mapper;
    private final CropBook crops;
    private final OrderBook orders;
    private final PlaceBook places;
    private final SeedStore seeds;
    private final BatchBook batches;
    private final SaidDay days;
    private final AccountMapper accounts;
    private final Wording wording;

    Finder(
            FindMapper mapper,
            CropBook crops,
            OrderBook orders,
            PlaceBook places,
            SeedStore seeds,
            BatchBook batches,
            SaidDay days,
            AccountMapper accounts,
            Wording wording) {
        this.mapper = mapper;
        this.crops = crops;
        this.orders = orders;
        this.places = places;
        this.seeds = seeds;
        this.batches = batches;
        this.days = days;
        this.accounts = accounts;
        this.wording = wording;
    }

    /** What fits, with how well. */
    private record Fit(Found.Thing thing, int likeness) {}

    /** What fits some words that somebody typed; only the propagator finds people. */
    Found find(String text, Person person) {
        List<Fit> fits = new ArrayList<>();
        SaidNumber.of(text, this::kinds)
                .ifPresent(said -> said.kinds()
                        .forEach(kind -> numbered(kind, said.number())
                                .forEach(thing -> fits.add(new Fit(thing, Likeness.SAME)))));
        days.day(text)
                .ifPresent(day -> fits.add(
                        new Fit(new Found.Thing(FoundKind.DAY, day.toString(), "", null, day, true), Likeness.SAME)));
        Likeness likeness = new Likeness(text);
        named(person).forEach(thing -> {
            int fit = likeness.of(
                    thing.name(), Optional.ofNullable(thing.beside()).orElse(""));
            if (fit > 0) {
                fits.add(new Fit(fit == Likeness.SAME ? exactly(thing) : thing, fit));
            }
        });
        List<Found.Thing> things = fits.stream()
                .sorted(Comparator.comparingInt((Fit fit) -> -fit.likeness())
                        .thenComparing(fit -> fit.thing().kind())
                        .thenComparing(fit -> fit.thing().name()))
                .map(Fit::thing)
                .toList();
        return new Found(things.stream().limit(Found.MOST).toList(), things.size() > Found.MOST);
    }

    private static Found.Thing exactly(Found.Thing thing) {
        return new Found.Thing(thing.kind(), thing.key(), thing.name(), thing.beside(), thing.day(), true);
    }

    /** The kinds whose words hold what was typed before a number: "note" is enough for a delivery note. */
    private Set<FoundKind> kinds(String word) {
        String typed = word.toLowerCase(Locale.ROOT);
        return EnumSet.allOf(FoundKind.class).stream()
                .filter(kind -> kind != FoundKind.DAY)
                .filter(kind -> wording.say(Said.of("found." + kind))
                        .toLowerCase(Locale.ROOT)
                        .contains(typed))
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(FoundKind.class)));
    }

    private List<Found.Thing> numbered(FoundKind kind, int number) {
        List<FindMapper.Numbered> rows = switch (kind) {
            case TRAY -> mapper.trays(number);
            case BATCH -> mapper.batches(number);
            case ORDER -> mapper.orders(number);
            default -> mapper.notes(number);
        };
        return rows.stream()
                .map(row ->
                        new Found.Thing(kind, String.valueOf(row.number()), row.name(), row.beside(), row.day(), true))
                .toList();
    }

    private List<Found.Thing> named(Person person) {
        List<Found.Thing> things = new ArrayList<>();
        Map<Long, String> growers = orders.growers().stream().collect(Collectors.toMap(Grower::id, Grower::name));
        Map<Long, String> varieties = crops.varieties().stream()
                .collect(Collectors.toMap(
                        each -> each.id(),
                        each -> each.name() + ", " + crops.cropOf(each).name()));
        seeds.lotsAndConsignments()
                .forEach(lot -> things.add(thing(
                        FoundKind.LOT,
                        lot.id().number(),
                        lot.code(),
                        varieties.get(lot.varietyId()) + ", " + lot.supplier())));
        crops.varieties()
                .forEach(variety -> things.add(thing(
                        FoundKind.VARIETY,
                        variety.id(),
                        variety.name(),
                        crops.cropOf(variety).name())));
        crops.crops()
                .forEach(crop -> things.add(thing(FoundKind.CROP, crop.code().written(), crop.name(), null)));
        growers.forEach((id, name) -> things.add(thing(FoundKind.GROWER, id, name, null)));
        orders.sites()
                .forEach(site ->
                        things.add(thing(FoundKind.SITE, site.id(), site.name(), growers.get(site.growerId()))));
        places.places()
                .forEach(place -> things.add(thing(FoundKind.PLACE, place.id().number(), place.name(), null)));
        batches.mixes().keySet().forEach(mix -> things.add(thing(FoundKind.MIX, mix, mix, null)));
        if (person.role() == Role.PROPAGATOR) {
            accounts.all()
                    .forEach(somebody ->
                            things.add(thing(FoundKind.PERSON, somebody.id(), somebody.name(), somebody.email())));
        }
        return things;
    }

    private static Found.Thing thing(FoundKind kind, Object key, String name, @Nullable String beside) {
        return new Found.Thing(kind, key.toString(), name, beside, null, false);
    }
}
