package kiver.server.place;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import kiver.core.place.Lamps;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceLight;
import kiver.core.place.PlaceSpan;
import kiver.core.place.PlaceUse;
import kiver.core.place.ShadeCloth;
import kiver.core.sheet.Column;
import kiver.core.sheet.SheetRow;
import kiver.core.sheet.SheetText;
import kiver.core.weather.Aspect;
import kiver.core.weather.SkyView;
import kiver.server.problem.Refusal;
import kiver.server.sheet.SheetBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** The places as a sheet. */
@Component
class PlaceSheetBook implements SheetBook {

    private static final String LIGHT_OF_LAMPS = "lamp_light";

    private static final List<String> ASPECTS =
            Arrays.stream(Aspect.values()).map(PlaceSheetBook::words).toList();

    private static final Shape SHAPE = new Shape(
            "places",
            1,
            List.of(
                    Column.of("name"),
                    Column.of("walking_order"),
                    Column.of("slots"),
                    Column.of("day_set_point"),
                    Column.of("night_set_point"),
                    Column.of("gain_by_day"),
                    Column.of("gain_by_night"),
                    Column.of("floor"),
                    Column.of("daylight_share"),
                    Column.of("lamp_flux").orNone(),
                    Column.of("lamp_hours").orNone(),
                    Column.of("lamp_distance").orNone(),
                    Column.choice("aspect", ASPECTS.toArray(String[]::new)).orNone(),
                    Column.of("sun_from").orNone(),
                    Column.of("sun_until").orNone(),
                    Column.of("cloth_takes").orNone(),
                    Column.of("cloth_above").orNone(),
                    Column.choice("for_emergence", "yes", "no"),
                    Column.choice("for_growing_on", "yes", "no"),
                    Column.choice("for_hardening_off", "yes", "no"),
                    Column.choice("keeps_mice_out", "yes", "no").orNone(),
                    Column.of("caution"),
                    Column.day("exists_from").orNone(),
                    Column.day("exists_until").orNone()));

    private final PlaceBook places;

    PlaceSheetBook(PlaceBook places) {
        this.places = places;
    }

    @Override
    public Shape shape() {
        return SHAPE;
    }

    @Override
    public boolean mayRetire() {
        return false;
    }

    @Override
    public List<SheetRow> rows() {
        return places.placesWithCautions().stream().map(this::row).toList();
    }

    private SheetRow row(NamedPlace named) {
        Place place = named.place();
        PlaceClimate.SetPoints heated = place.climate() instanceof PlaceClimate.SetPoints points ? points : null;
        PlaceClimate.FollowsWeather open =
                place.climate() instanceof PlaceClimate.FollowsWeather follows ? follows : null;
        return SheetText.row(
                SHAPE.names(),
                place.name(),
                place.walkingOrder(),
                place.slots(),
                heated == null ? "" : heated.day(),
                heated == null ? "" : heated.night(),
                open == null ? "" : open.gainByDay(),
                open == null ? "" : open.gainByNight(),
                open == null || open.floor() <= PlaceClimate.FollowsWeather.NO_FLOOR ? "" : open.floor(),
                place.light().daylightShare(),
                place.light().lamps().flux(),
                place.light().lamps().hours(),
                place.light().lamps().distance(),
                words(place.light().sky().aspect()),
                place.light().sky().sunFrom(),
                place.light().sky().sunUntil(),
                place.light().cloth().takes(),
                place.light().cloth().above(),
                yes(place, PlaceUse.EMERGENCE),
                yes(place, PlaceUse.GROWING_ON),
                yes(place, PlaceUse.HARDENING_OFF),
                place.keepsMiceOut() ? "yes" : "no",
                named.caution(),
                place.exists().firstDay().map(LocalDate::toString).orElse(""),
                place.exists().lastDay().map(LocalDate::toString).orElse(""));
    }

    private static PlaceLight light(SheetRow row) {
        return new PlaceLight(
                row.number("daylight_share"),
                new SkyView(aspect(row), row.numberOr("sun_from", 0), row.numberOr("sun_until", 24)),
                new ShadeCloth(row.numberOr("cloth_takes", 0), row.numberOr("cloth_above", ShadeCloth.NONE.above())),
                lamps(row));
    }

    /** Files of an earlier Kiver say what lamps give in a day, in a column of that name. */
    private static Lamps lamps(SheetRow row) {
        if (row.text("lamp_flux").isEmpty() && !row.text(LIGHT_OF_LAMPS).isEmpty()) {
            return Lamps.giving(row.number(LIGHT_OF_LAMPS));
        }
        double flux = row.numberOr("lamp_flux", 0);
        return new Lamps(
                flux,
                row.numberOr("lamp_hours", flux > 0 ? Lamps.USUAL_HOURS : 0),
                row.numberOr("lamp_distance", Lamps.NONE.distance()));
    }

    private static Aspect aspect(SheetRow row) {
        return row.text("aspect").isEmpty()
                ? Aspect.OVERHEAD
                : Aspect.valueOf(row.oneOf("aspect", ASPECTS).toUpperCase(Locale.ROOT));
    }

    private static String words(Aspect aspect) {
        return aspect.name().toLowerCase(Locale.ROOT);
    }

    private static PlaceSpan span(SheetRow row) {
        Optional<LocalDate> from = day(row, "exists_from");
        Optional<LocalDate> until = day(row, "exists_until");
        if (from.isPresent() && until.isPresent() && until.get().isBefore(from.get())) {
            throw new Refusal("exists_until", Said.of("A place cannot end before it begins."));
        }
        return new PlaceSpan(from, until);
    }

    private static Optional<LocalDate> day(SheetRow row, String column) {
        return row.text(column).isEmpty() ? Optional.empty() : Optional.of(row.day(column));
    }

    private static String yes(Place place, PlaceUse use) {
        return place.suits(use) ? "yes" : "no";
    }

    @Override
    public void put(SheetRow row) {
        Set<PlaceUse> uses = EnumSet.noneOf(PlaceUse.class);
        if (row.yes("for_emergence")) {
            uses.add(PlaceUse.EMERGENCE);
        }
        if (row.yes("for_growing_on")) {
            uses.add(PlaceUse.GROWING_ON);
        }
        if (row.yes("for_hardening_off")) {
            uses.add(PlaceUse.HARDENING_OFF);
        }
        boolean heated = !row.text("day_set_point").isEmpty()
                || !row.text("night_set_point").isEmpty();
        PlaceClimate climate = heated
                ? new PlaceClimate.SetPoints(row.number("day_set_point"), row.number("night_set_point"))
                : new PlaceClimate.FollowsWeather(
                        row.number("gain_by_night"),
                        row.number("gain_by_day"),
                        row.numberOr("floor", PlaceClimate.FollowsWeather.NO_FLOOR));
        int slots = row.wholeNumber("slots");
        if (slots < 1) {
            throw new Refusal(
                    "slots",
                    Said.of("A place holds at least one tray, not {slots}.").with("slots", slots));
        }
        places.put(
                new Place(
                        new PlaceId(0),
                        row.words("name"),
                        row.wholeNumber("walking_order"),
                        slots,
                        climate,
                        light(row),
                        row.yesOrNothing("keeps_mice_out"),
                        uses,
                        span(row)),
                row.text("caution"));
    }
}
