package kiver.benchmark;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import kiver.core.growth.Way;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.space.Candidate;
import kiver.core.space.Stay;
import kiver.core.space.ToPlace;

/**
 * A season of batches with candidates, drawn from a seed: a third of the places to come up in, a third to grow on, a
 * third to harden off, and about as much room as is asked for in the busiest weeks.
 *
 * @param places with their room
 * @param batches to be placed
 */
public record MadeUpSeason(List<Place> places, List<ToPlace> batches) {

    private static final LocalDate FIRST = LocalDate.of(2027, 1, 10);
    private static final int CANDIDATES = 8;

    private static final int FEWEST_CROPS = 6;

    /**
     * A season.
     *
     * @param batches number of them
     * @param places number of them, at least 3
     * @param days over which batches are sown and grown
     * @param tightness 1 for about as much room as is asked for at the busiest; above 1 less
     * @param seed of chance
     */
    public static MadeUpSeason of(int batches, int places, int days, double tightness, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        int third = places / 3;
        double slotsTogether = batches * 2.5 * 45 / days;
        List<Place> rooms = new ArrayList<>();
        for (int place = 1; place <= places; place++) {
            int kind = Math.min(2, (place - 1) / third);
            double share = new double[] {10, 28, 8}[kind] / 45.0;
            int slots = (int)
                    Math.max(4, slotsTogether * share / third / tightness * (0.7 + 0.9 * random.nextDouble()) * 2.2);
            rooms.add(new Place(
                    new PlaceId(place),
                    "Place " + place,
                    place,
                    slots,
                    new PlaceClimate.SetPoints(18, 14),
                    0.8,
                    0,
                    Set.of(PlaceUse.values()[kind])));
        }
        List<ToPlace> wanted = new ArrayList<>();
        for (int batch = 1; batch <= batches; batch++) {
            int sown = random.nextInt(Math.max(1, days - 70));
            double slots = 0.5 * (1 + random.nextInt(9));
            List<Candidate> candidates = new ArrayList<>();
            for (int each = 0; each < CANDIDATES; each++) {
                PlaceId warm = new PlaceId(1 + random.nextInt(third));
                PlaceId bench = new PlaceId(1 + third + random.nextInt(third));
                PlaceId out = new PlaceId(1 + 2 * third + random.nextInt(places - 2 * third));
                LocalDate from = FIRST.plusDays(sown + random.nextInt(5));
                LocalDate up = from.plusDays(5 + random.nextInt(10));
                LocalDate stage = up.plusDays(18 + random.nextInt(20));
                candidates.add(new Candidate(
                        new Way(warm, bench, out),
                        random.nextInt(300) / 10.0,
                        List.of(
                                new Stay(warm, from, up, slots),
                                new Stay(bench, up, stage, slots),
                                new Stay(out, stage, stage.plusDays(4 + random.nextInt(8)), slots))));
            }
            wanted.add(new ToPlace(batch, "crop " + batch % Math.max(FEWEST_CROPS, batches / 80), candidates));
        }
        return new MadeUpSeason(rooms, wanted);
    }
}
