package kiver.core.order;

import java.time.LocalDate;
import java.time.MonthDay;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import kiver.core.crop.CropCode;

/**
 * When a pest is usually about, at the height of the station in the northern half-year.
 *
 * @param pest which
 * @param crops it goes for
 * @param from first day, in the north
 * @param until last day, in the north, in the same year
 * @param establishedDays days after planting from which plants outgrow the harm, 0 or more
 * @param coverHelps whether fleece or net keeps it off
 */
public record PestSpan(
        Pest pest, Set<CropCode> crops, MonthDay from, MonthDay until, int establishedDays, boolean coverHelps) {

    /**
     * Days later for each metre of height: four days for 400 feet.
     *
     * <p>Reference: Hopkins (1920), "The bioclimatic law", Journal of the Washington Academy of Sciences 10.
     */
    static final double DAYS_A_METRE = 4 / (400 * 0.3048);

    private static final int HALF_A_YEAR = 182;

    /** What was seen at a site outweighs the law of height from the second year on. */
    private static final double WORTH_OF_THE_LAW = 0.5;

    public PestSpan {
        Objects.requireNonNull(pest);
        crops = Set.copyOf(crops);
        if (until.isBefore(from) || establishedDays < 0) {
            throw new IllegalArgumentException("A pest's span must end after it begins, and days are not negative.");
        }
    }

    /**
     * The first of a pest that a grower saw at a site in some year.
     *
     * @param pest which
     * @param day on which it was seen
     */
    public record Seen(Pest pest, LocalDate day) {}

    /**
     * The span at a site around a day.
     *
     * @param metresAbove the station, negative below it
     * @param northern whether the site lies north of the equator
     * @param seen at the site, of this or other pests
     * @param day the span whose middle is nearest to it is given
     */
    public PestTime at(int metresAbove, boolean northern, List<Seen> seen, LocalDate day) {
        double law = DAYS_A_METRE * metresAbove;
        List<Seen> ofThis = seen.stream().filter(each -> each.pest() == pest).toList();
        double told = ofThis.stream()
                .mapToDouble(each -> ChronoUnit.DAYS.between(nearest(northern, each.day()), each.day()))
                .sum();
        long shift = Math.round((WORTH_OF_THE_LAW * law + told) / (WORTH_OF_THE_LAW + ofThis.size()));
        LocalDate first = nearest(northern, day).plusDays(shift);
        long length = ChronoUnit.DAYS.between(from.atYear(2027), until.atYear(2027));
        return new PestTime(pest, first, first.plusDays(length), establishedDays, coverHelps);
    }

    /** The usual first day that lies nearest to a day. */
    private LocalDate nearest(boolean northern, LocalDate day) {
        LocalDate best = null;
        for (int year = day.getYear() - 1; year <= day.getYear() + 1; year++) {
            LocalDate first = from.atYear(year).plusDays(northern ? 0 : HALF_A_YEAR);
            best = best == null || distance(first, day) < distance(best, day) ? first : best;
        }
        return best;
    }

    private long distance(LocalDate first, LocalDate day) {
        long half = ChronoUnit.DAYS.between(from.atYear(2027), until.atYear(2027)) / 2;
        return Math.abs(ChronoUnit.DAYS.between(first.plusDays(half), day));
    }
}
