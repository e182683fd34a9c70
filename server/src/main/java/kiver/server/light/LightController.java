package kiver.server.light;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import kiver.core.growth.Season;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.LightMove;
import kiver.core.place.Lamps;
import kiver.core.place.LightYear;
import kiver.core.place.Place;
import kiver.core.place.PlaceLight;
import kiver.core.place.ShadeCloth;
import kiver.core.space.Occupancy;
import kiver.core.weather.Aspect;
import kiver.core.weather.SkyView;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.place.PlaceBook;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.space.SpaceBook;
import kiver.server.wording.Said;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The light of a place through the year, what grows in it, and what could be done where it is too little. */
@RestController
class LightController {

    private final PlaceBook places;
    private final PlaceLights lights;
    private final SeasonService seasons;
    private final SpaceBook space;
    private final NurseryClock clock;

    LightController(PlaceBook places, PlaceLights lights, SeasonService seasons, SpaceBook space, NurseryClock clock) {
        this.places = places;
        this.lights = lights;
        this.seasons = seasons;
        this.space = space;
        this.clock = clock;
    }

    /**
     * What makes the light of a place.
     *
     * @param daylightShare share of the light that meets its glass and comes through, 0 to 1
     * @param sunFrom hour of solar time from which nothing stands between it and the sun, 0 to 24
     * @param sunUntil hour until which nothing does
     * @param clothTakes share of daylight that a cloth takes; 0 for none
     * @param clothAbove mol m⁻² d⁻¹ of daylight from which it is drawn; missing where there is none
     * @param lampFlux µmol m⁻² s⁻¹ at the leaves; 0 for none
     * @param lampHours a day
     * @param lampDistance from lamps to leaves, mm
     */
    record LightMadeBy(
            @NotNull(message = "Say how much daylight reaches it.")
            @DecimalMin(value = "0", message = "Enter 0 to 100 %.")
            @DecimalMax(value = "1", message = "Enter 0 to 100 %.")
            Double daylightShare,

            @NotNull(message = "Say where its light comes from.")
            Aspect aspect,

            @NotNull(message = "Say from which hour the sun reaches it.")
            @DecimalMin(value = "0", message = "A day has 24 hours.")
            @DecimalMax(value = "24", message = "A day has 24 hours.")
            Double sunFrom,

            @NotNull(message = "Say until which hour the sun reaches it.")
            @DecimalMin(value = "0", message = "A day has 24 hours.")
            @DecimalMax(value = "24", message = "A day has 24 hours.")
            Double sunUntil,

            @NotNull(message = "Say how much a cloth takes, 0 for none.")
            @DecimalMin(value = "0", message = "A cloth takes 0 to 95 % of the light.")
            @DecimalMax(value = "0.95", message = "A cloth takes 0 to 95 % of the light.")
            Double clothTakes,

            @Nullable
            @DecimalMin(value = "1", message = "Enter 1 to 60 mol of light a day.")
            @DecimalMax(value = "60", message = "Enter 1 to 60 mol of light a day.")
            Double clothAbove,

            @NotNull(message = "Say how much light lamps give, 0 for none.")
            @DecimalMin(value = "0", message = "Lamps give 0 to 2,000 µmol at the leaves.")
            @DecimalMax(value = "2000", message = "Lamps give 0 to 2,000 µmol at the leaves.")
            Double lampFlux,

            @NotNull(message = "Say how many hours a day lamps burn.")
            @DecimalMin(value = "0", message = "A day has 24 hours.")
            @DecimalMax(value = "24", message = "A day has 24 hours.")
            Double lampHours,

            @NotNull(message = "Say how far lamps hang above the leaves.")
            @DecimalMin(value = "10", message = "Enter a distance of 10 to 5,000 mm.")
            @DecimalMax(value = "5000", message = "Enter a distance of 10 to 5,000 mm.")
            Double lampDistance) {

        static LightMadeBy of(PlaceLight light) {
            return new LightMadeBy(
                    light.daylightShare(),
                    light.sky().aspect(),
                    light.sky().sunFrom(),
                    light.sky().sunUntil(),
                    light.cloth().takes(),
                    light.cloth().isThere() ? light.cloth().above() : null,
                    light.lamps().flux(),
                    light.lamps().hours(),
                    light.lamps().distance());
        }

        PlaceLight light() {
            if (sunUntil < sunFrom) {
                throw new Refusal("sunUntil", Said.of("The sun goes after it has come."));
            }
            if (clothTakes > 0 && clothAbove == null) {
                throw new Refusal("clothAbove", Said.of("Say above how much light the cloth is drawn."));
            }
            return new PlaceLight(
                    daylightShare,
                    new SkyView(aspect, sunFrom, sunUntil),
                    clothTakes == 0 ? ShadeCloth.NONE : new ShadeCloth(clothTakes, clothAbove),
                    new Lamps(lampFlux, lampHours, lampDistance));
        }
    }

    /** Light of a week of the year: of one year in ten less than {@code low}, of half {@code middle}, of one in ten more than {@code high}. */
    record LightOfWeek(LocalDate from, double low, double middle, double high) {}

    /**
     * What lamps would have to do for what stretches; missing where they cannot or nothing stretches.
     *
     * @param hours a day, as high as they hang
     * @param distance mm, in the hours that they burn
     */
    record LampsCould(@Nullable Double hours, @Nullable Double distance) {}

    /**
     * A batch that grows there.
     *
     * @param wanted light that keeps it sturdy in the warmth of the last days, mol m⁻² d⁻¹
     * @param plenty light above which more makes no difference
     * @param ready most likely, as it stands; missing where it is not ready this season
     * @param chance of what is wanted of it, as it stands
     */
    record GrowingHere(
            int batch,
            String crop,
            double wanted,
            double plenty,
            @Nullable LocalDate ready,
            double chance,
            List<LightMoveView> moves) {}

    /**
     * Moving a batch to light that suits it.
     *
     * @param ready most likely, then
     * @param chance of being fit on the day wanted, then
     * @param takes tray places
     * @param free tray places there today
     */
    record LightMoveView(
            long placeId,
            String place,
            double light,
            @Nullable LocalDate ready,
            double chance,
            double takes,
            double free,
            boolean fits) {}

    /**
     * The light of a place.
     *
     * @param lampLight what lamps give in a day, mol m⁻² d⁻¹
     * @param lampFluxThere what the lamps that hang there now would give at the leaves from the height asked about, µmol m⁻² s⁻¹
     * @param weeks of the year as the station's record goes, from the first of January
     * @param state what it does to what grows there now
     */
    record LightOfPlace(
            long placeId,
            String place,
            LightMadeBy madeBy,
            double lampLight,
            double lampFluxThere,
            List<LightOfWeek> weeks,
            PlaceLightView state,
            LampsCould lampsCould,
            List<GrowingHere> growing) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/places/{id}/light")
    LightOfPlace light(@PathVariable long id) {
        Place place = place(id);
        return view(place, place.light());
    }

    /** The same, were its light made otherwise; nothing is kept. */
    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/places/{id}/light/trials")
    LightOfPlace tried(@PathVariable long id, @Valid @RequestBody LightMadeBy otherwise) {
        return view(place(id), otherwise.light());
    }

    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/places/{id}/light")
    LightOfPlace change(@PathVariable long id, @Valid @RequestBody LightMadeBy otherwise) {
        places.light(place(id), otherwise.light());
        return light(id);
    }

    private Place place(long id) {
        return places.places().stream()
                .filter(place -> place.id().number() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound(
                        Said.of("There is no place {place} in this nursery.").with("place", id)));
    }

    private LightOfPlace view(Place place, PlaceLight light) {
        Season season = seasons.season();
        PlaceLightView state = lights.of(place, light);
        return new LightOfPlace(
                place.id().number(),
                place.name(),
                LightMadeBy.of(light),
                light.lamps().light(),
                place.light().lamps().at(light.lamps().distance()).flux(),
                LightYear.of(
                                light.at(season.latitude()),
                                seasons.record(),
                                clock.today().getYear())
                        .stream()
                        .map(week -> new LightOfWeek(week.from(), week.low(), week.middle(), week.high()))
                        .toList(),
                state,
                lamps(light.lamps(), state),
                lights.growing(place.id()).stream()
                        .map(batch -> growing(batch, state, season))
                        .toList());
    }

    private static LampsCould lamps(Lamps lamps, PlaceLightView state) {
        if (state.dark() == null || lamps.light() == 0) {
            return new LampsCould(null, null);
        }
        double wanted = state.dark().wanted() - (state.light() - lamps.light());
        double hours = lamps.hoursFor(wanted);
        double distance = lamps.distanceFor(wanted);
        return new LampsCould(hours > Lamps.MOST_HOURS ? null : hours, distance < Lamps.NEAREST ? null : distance);
    }

    private GrowingHere growing(BatchOutlook batch, PlaceLightView state, Season season) {
        boolean suffers = state.dark() != null && state.dark().batches().contains(batch.number())
                || state.fierce() != null && state.fierce().batches().contains(batch.number());
        LocalDate today = clock.today();
        Occupancy occupancy = space.occupancy();
        return new GrowingHere(
                batch.number(),
                batch.crop().name(),
                state.dark() == null
                        ? batch.crop().leaves().leggyBelow()
                        : batch.crop().leaves().leggyBelow(state.dark().celsius()),
                batch.crop().leaves().lightNeed(),
                batch.forecast().ready().map(spread -> spread.middle()).orElse(null),
                batch.chance(),
                !suffers
                        ? List.of()
                        : LightMove.of(season, today, batch, to -> occupancy.free(to, today, today.plusDays(1)))
                                .stream()
                                .map(move -> new LightMoveView(
                                        move.place().number(),
                                        season.place(move.place()).name(),
                                        move.light(),
                                        move.ready().orElse(null),
                                        move.chance(),
                                        move.takes(),
                                        move.free(),
                                        move.fits()))
                                .toList());
    }
}
