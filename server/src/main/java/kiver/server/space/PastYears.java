package kiver.server.space;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import kiver.core.growth.Season;
import kiver.core.weather.YearCharacter;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.problem.Refusal;
import kiver.server.weather.WeatherBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** The past years in whose weather a season can be tried, and what people remember them by. */
@Component
public class PastYears {

    private final SeasonService seasons;
    private final NurseryClock clock;
    private final WeatherBook weather;

    PastYears(SeasonService seasons, NurseryClock clock, WeatherBook weather) {
        this.seasons = seasons;
        this.clock = clock;
        this.weather = weather;
    }

    /** What a year is remembered by. */
    public enum RememberedFor {
        COLDEST_SPRING,
        EARLIEST_FROST,
        HOTTEST_EARLY_SUMMER
    }

    /**
     * A past year.
     *
     * @param scenario its index among the season's scenarios
     * @param year in which the days ahead began then
     * @param rememberedFor what it is the utmost in, of all that are there
     */
    public record PastYear(int scenario, int year, YearCharacter character, Set<RememberedFor> rememberedFor) {}

    /** All of them, the latest first. */
    public List<PastYear> all() {
        LocalDate today = clock.today();
        Season season = seasons.season(today);
        List<Integer> years = seasons.pastYears();
        boolean northern = clock.latitude() >= 0;
        List<YearCharacter> characters = season.weather().stream()
                .map(course -> YearCharacter.of(course, today, northern))
                .toList();
        Optional<YearCharacter> coldest = characters.stream()
                .filter(each -> each.spring().isPresent())
                .min(Comparator.comparingDouble(each -> value(each.spring())));
        Optional<YearCharacter> earliest = characters.stream()
                .filter(each -> each.firstFrost().isPresent())
                .min(Comparator.comparing(each -> each.firstFrost().orElseThrow()));
        Optional<YearCharacter> hottest = characters.stream()
                .filter(each -> each.earlySummer().isPresent())
                .max(Comparator.comparingDouble(each -> value(each.earlySummer())));
        List<PastYear> all = new ArrayList<>();
        for (int index = 0; index < Math.min(years.size(), characters.size()); index++) {
            YearCharacter character = characters.get(index);
            Set<RememberedFor> rememberedFor = EnumSet.noneOf(RememberedFor.class);
            coldest.filter(character::equals).ifPresent(same -> rememberedFor.add(RememberedFor.COLDEST_SPRING));
            earliest.filter(character::equals).ifPresent(same -> rememberedFor.add(RememberedFor.EARLIEST_FROST));
            hottest.filter(character::equals).ifPresent(same -> rememberedFor.add(RememberedFor.HOTTEST_EARLY_SUMMER));
            all.add(new PastYear(index, years.get(index), character, rememberedFor));
        }
        return List.copyOf(all);
    }

    /** The year of that number. */
    public PastYear named(int year) {
        List<PastYear> all = all();
        return all.stream().filter(each -> each.year() == year).findFirst().orElseThrow(() -> {
            List<Integer> known = all.stream().map(PastYear::year).sorted().toList();
            return new Refusal(
                    "year",
                    Said.of("The weather of {year} is not known whole; choose a year from {from} to {until}.")
                            .with("year", Integer.toString(year))
                            .with("from", Integer.toString(known.get(0)))
                            .with("until", Integer.toString(known.get(known.size() - 1))));
        });
    }

    /** Whether most of these years were never measured but worked out from what is known of the climate. */
    public boolean areEstimated() {
        return weather.isMostlyEstimated();
    }

    private static double value(OptionalDouble told) {
        return told.orElseThrow();
    }
}
