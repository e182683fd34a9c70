package kiver.e2e;

import java.util.List;

/**
 * A page of the demonstration.
 *
 * @param email who looks at it; empty for somebody who has not signed in
 * @param path of its address
 * @param heading that must be seen on it: an error page has another
 */
record View(String email, String path, String heading) {

    static final List<View> ALL = List.of(
            new View("", "/", "Kiver"),
            new View(Nursery.PROPAGATOR, "/", "The round"),
            new View(Nursery.HAND, "/tomorrow", "Tomorrow"),
            new View(Nursery.PROPAGATOR, "/week", "The week against the hands"),
            new View(Nursery.HAND, "/trace/notes/504", "Where delivery note 504 came from"),
            new View(Nursery.HAND, "/trace/lots/9", "What came of lot"),
            new View(Nursery.PROPAGATOR, "/orders", "Orders"),
            new View(Nursery.PROPAGATOR, "/orders/new", "Take an order"),
            new View(Nursery.PROPAGATOR, "/orders/109", "90 Curled Minster"),
            new View(Nursery.PROPAGATOR, "/batches", "Batches"),
            new View(Nursery.PROPAGATOR, "/batches/buy", "Buy plants in"),
            new View(Nursery.HAND, "/batches/242", "Blue Pincushion"),
            new View(Nursery.HAND, "/batches/262", "Little Ember"),
            new View(Nursery.HAND, "/batches/242/health", "How they fared"),
            new View(Nursery.HAND, "/batches/201/failing?sign=YELLOW", "Why are they failing?"),
            new View(Nursery.HAND, "/trays/1001", "Tray T1001"),
            new View(Nursery.HAND, "/trays/1006?work=thin", "Tray T1006"),
            new View(Nursery.HAND, "/trays/1006/map", "Map of tray T1006"),
            new View(Nursery.HAND, "/trays/1006?work=move", "Tray T1006"),
            new View(Nursery.HAND, "/trays/1129/layout", "Lay out tray T1129"),
            new View(Nursery.HAND, "/labels", "Printed labels"),
            new View(Nursery.PROPAGATOR, "/trials", "Trials"),
            new View(Nursery.HAND, "/warmth", "Warmth of the places"),
            new View(Nursery.PROPAGATOR, "/light/3", "Light of the places"),
            new View(Nursery.HAND, "/season", "Season"),
            new View(Nursery.PROPAGATOR, "/space", "Space through time"),
            new View(Nursery.HAND, "/seed", "Seed"),
            new View(Nursery.HAND, "/sow", "Sowing"),
            new View(Nursery.PROPAGATOR, "/feed", "Feed"),
            new View(Nursery.HAND, "/water", "Water"),
            new View(Nursery.HAND, "/potting", "Potting"),
            new View(Nursery.HAND, "/hardening", "Hardening off"),
            new View(Nursery.PROPAGATOR, "/loading", "Loading"),
            new View(Nursery.PROPAGATOR, "/growers", "Growers"),
            new View(Nursery.HAND, "/looking-back", "Looking back"),
            new View(Nursery.PROPAGATOR, "/lessons", "What was learnt"),
            new View(Nursery.PROPAGATOR, "/season/again", "A season again"),
            new View(Nursery.PROPAGATOR, "/mix", "Mix"),
            new View(Nursery.HAND, "/mix/barrow?recipe=living&litres=60", "Barrow sheet"),
            new View(Nursery.PROPAGATOR, "/mix/recipes/living", "Living mix"),
            new View(Nursery.PROPAGATOR, "/weather", "Weather"),
            new View(Nursery.HAND, "/sites/3", "School yard"),
            new View(Nursery.HAND, "/crops/lettuce", "Lettuce"),
            new View(Nursery.HAND, "/season/wall", "Week from"),
            new View(Nursery.PROPAGATOR, "/season/reschedule", "Reschedule"),
            new View(Nursery.PROPAGATOR, "/nursery", "The nursery"),
            new View(Nursery.PROPAGATOR, "/founding/where", "Where it lies"),
            new View(Nursery.PROPAGATOR, "/founding/climate", "Its climate"),
            new View(Nursery.PROPAGATOR, "/founding/places", "Places for trays"),
            new View(Nursery.PROPAGATOR, "/founding/crops", "What one grows"),
            new View(Nursery.PROPAGATOR, "/nursery/devices", "What measures here"),
            new View(Nursery.PROPAGATOR, "/orders/from-file", "Orders from a file"),
            new View(Nursery.PROPAGATOR, "/season/own-table", "For our own table"),
            new View(Nursery.PROPAGATOR, "/season/play", "Play a season"),
            new View(Nursery.PROPAGATOR, "/nursery/crops", "Crops"),
            new View(Nursery.HAND, "/account", "Pell Oskway"),
            new View(Nursery.GROWER, "/", "Your plants"));
}
