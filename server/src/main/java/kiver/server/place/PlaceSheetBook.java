package kiver.server.place;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.sheet.Column;
import kiver.core.sheet.SheetRow;
import kiver.core.sheet.SheetText;
import kiver.server.problem.Refusal;
import kiver.server.sheet.SheetBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** The places as a sheet. */
@Component
class PlaceSheetBook implements SheetBook {

    private static final int NO_FLOOR = -60;

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
                    Column.of("lamp_light"),
                    Column.choice("for_emergence", "yes", "no"),
                    Column.choice("for_growing_on", "yes", "no"),
                    Column.choice("for_hardening_off", "yes", "no"),
                    Column.choice("keeps_mice_out", "yes", "no").orNone(),
                    Column.of("caution")));

    private final PlaceBook places;

    PlaceSheetBook(PlaceBook places) {
        this.places = places;
    }

    @Override
    public Shape shape() {
        return SHAPE;
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
                open == null || open.floor() <= NO_FLOOR ? "" : open.floor(),
                place.daylightShare(),
                place.lampLight(),
                yes(place, PlaceUse.EMERGENCE),
                yes(place, PlaceUse.GROWING_ON),
                yes(place, PlaceUse.HARDENING_OFF),
                place.keepsMiceOut() ? "yes" : "no",
                named.caution());
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
                        row.number("gain_by_night"), row.number("gain_by_day"), row.numberOr("floor", NO_FLOOR));
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
                        row.number("daylight_share"),
                        row.number("lamp_light"),
                        row.yesOrNothing("keeps_mice_out"),
                        uses),
                row.text("caution"));
    }
}
