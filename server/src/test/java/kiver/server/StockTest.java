package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import kiver.core.batch.BatchChange;
import kiver.core.crop.CropCode;
import kiver.core.growth.Season;
import kiver.core.outlook.BatchFile;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.batch.RecordingService;
import kiver.server.growth.SeasonService;
import kiver.server.place.PlaceBook;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.sow.LotKnowledge;
import kiver.server.weather.WeatherBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class StockTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    SeasonService seasons;

    @Autowired
    WeatherBook weather;

    @Autowired
    PlaceBook places;

    @Autowired
    SeedStore seeds;

    @Autowired
    BatchBook batches;

    @Autowired
    RecordingService recording;

    @Autowired
    LotKnowledge lots;

    @BeforeEach
    void found() {
        nursery.found();
    }

    @ParameterizedTest(name = "{0}: {1} is told at {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "/api/places|{\"name\":\"Place 1\",\"slots\":4,\"daylightShare\":0.5,\"lampFlux\":0,\"uses\":[\"EMERGENCE\"]}|name|already",
                "/api/places|{\"name\":\"New\",\"slots\":0,\"daylightShare\":0.5,\"lampFlux\":0,\"uses\":[\"EMERGENCE\"]}|slots|at least one tray",
                "/api/places|{\"name\":\"New\",\"slots\":4,\"daySetPoint\":15,\"daylightShare\":0.5,\"lampFlux\":0,\"uses\":[\"EMERGENCE\"]}|nightSetPoint|both set points",
                "/api/places|{\"name\":\"New\",\"slots\":4,\"daySetPoint\":15,\"nightSetPoint\":18,\"daylightShare\":0.5,\"lampFlux\":0,\"uses\":[\"EMERGENCE\"]}|nightSetPoint|above the day",
                "/api/places|{\"name\":\"New\",\"slots\":4,\"daylightShare\":7,\"lampFlux\":0,\"uses\":[\"EMERGENCE\"]}|daylightShare|0 to 100",
                "/api/places|{\"name\":\"New\",\"slots\":4,\"daylightShare\":0.5,\"lampFlux\":0,\"uses\":[]}|uses|used for",
                "/api/varieties|{\"crop\":\"moon-melon\",\"name\":\"X\"}|crop|not in the library",
                "/api/varieties|{\"crop\":\"curly-kale\",\"name\":\"Test kale\"}|name|already",
                "/api/lots|{\"code\":\"L1\",\"varietyId\":1,\"supplier\":\"S\",\"germinationLabel\":0.9,\"testedSeeds\":100,\"testedOn\":\"2027-01-01\",\"seeds\":5}|code|already",
                "/api/lots|{\"code\":\"L9\",\"varietyId\":99,\"supplier\":\"S\",\"germinationLabel\":0.9,\"testedSeeds\":100,\"testedOn\":\"2027-01-01\",\"seeds\":5}|varietyId|not in the library",
                "/api/lots|{\"code\":\"L9\",\"varietyId\":1,\"supplier\":\"S\",\"germinationLabel\":90,\"testedSeeds\":100,\"testedOn\":\"2027-01-01\",\"seeds\":5}|germinationLabel|0 to 100",
                "/api/lots|{\"code\":\"L9\",\"varietyId\":1,\"supplier\":\"S\",\"germinationLabel\":0.9,\"testedSeeds\":100,\"testedOn\":\"2029-01-01\",\"seeds\":5}|testedOn|still to come",
                "/api/growers|{\"grower\":\"Field one\",\"site\":\"Near\",\"altitude\":5}|site|already",
                "/api/growers|{\"grower\":\"Field one\",\"site\":\"Moon\",\"altitude\":384400}|altitude|5,000",
                "/api/people|{\"name\":\"A\",\"email\":\"hand@test.example\",\"password\":\"long enough\",\"role\":\"BENCH_HAND\"}|email|already",
                "/api/people|{\"name\":\"A\",\"email\":\"new@test.example\",\"password\":\"long enough\",\"role\":\"GROWER\"}|growerId|belong to",
                "/api/people|{\"name\":\"A\",\"email\":\"new@test.example\",\"password\":\"short\",\"role\":\"BENCH_HAND\"}|password|10 letters"
            })
    void wrongEntriesAreToldAtTheirField(String path, String body, String field, String message) throws Exception {
        nursery.post(nursery.propagator, path, body)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value(field))
                .andExpect(jsonPath("$.errors[0].message").value(containsString(message)));
        nursery.post(nursery.hand, path, body).andExpect(status().isForbidden());
    }

    @Test
    void anUnreadableRequestIsRefusedPlainly() throws Exception {
        nursery.post(nursery.propagator, "/api/plans", "{\"plants\":").andExpect(status().isBadRequest());
        nursery.post(nursery.propagator, "/api/plans", "{\"plants\":\"many\"}")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("plants"));
        nursery.get(nursery.hand, "/api/trays/99999")
                .andExpect(status().isNotFound())
                .andExpect(jsonPath("$.detail").value("There is no tray T99999."));
        nursery.get(nursery.hand, "/api/batches/first").andExpect(status().isBadRequest());
    }

    @Test
    void theSeasonKnowsWhatWasReadAndWhatIsForecast() {
        Season season = seasons.season();
        assertThat(season.scenarios()).isEqualTo(10);
        assertThat(weather.record().lastDay()).isEqualTo(SmallNursery.TODAY.minusDays(1));
        assertThat(weather.forecast(SmallNursery.TODAY)).hasSize(5);
        assertThat(places.readings(SmallNursery.TODAY.minusDays(10))
                        .get(season.places().get(0).id()))
                .containsKey(SmallNursery.TODAY.minusDays(1))
                .doesNotContainKey(SmallNursery.TODAY);
        assertThat(seasons.season()).as("kept for the day").isSameAs(season);
    }

    @Test
    void aNewPlaceMakesTheSeasonNew() throws Exception {
        Season before = seasons.season();
        nursery.post(nursery.propagator, "/api/places", """
                {"name":"Annex","slots":6,"daySetPoint":18,"nightSetPoint":12,"daylightShare":0.6,"lampFlux":0,
                 "uses":["GROWING_ON"]}""").andExpect(status().isOk());
        assertThat(seasons.season()).isNotSameAs(before);
        assertThat(seasons.season().places()).extracting(place -> place.name()).contains("Annex");
    }

    @Test
    void countsTeachWhatALotIsWorth() throws Exception {
        // Of its own variety, because what is learnt of a lot stays learnt.
        long variety = nursery.crops.add(new CropCode("curly-kale"), "Lesson kale");
        seeds.add(new SeedLot(
                new LotId(0), "L7", variety, "Seed house", 0.9, 100, SmallNursery.TODAY.minusDays(10), 500, 500));
        String body = nursery.orderBody(UUID.randomUUID(), 30, SmallNursery.TODAY.plusDays(70))
                .replace("\"varietyId\":" + nursery.varietyId, "\"varietyId\":" + variety);
        nursery.post(nursery.propagator, "/api/orders", body).andExpect(status().isOk());
        BatchFile file = batches.files().stream()
                .filter(each -> each.batch().variety().equals("Lesson kale"))
                .findFirst()
                .orElseThrow();
        CellRun run = file.runs().get(0);
        SeedLot lot = seeds.lot(file.batch().lot());
        LocalDate today = SmallNursery.TODAY;
        double label = lots.germination(lot, today, batches.files(), 0).mean();
        record(file, new BatchChange.Sown(run, 1, lot.id(), "Mix", new PlaceId(1)));
        record(file, new BatchChange.Counted(run.tray(), Map.of(1, 1, 2, 1), false));
        assertThat(lots.germination(lot, today, batches.files(), 0).mean())
                .as("not yet counted to the end")
                .isEqualTo(label);
        record(file, new BatchChange.Counted(run.tray(), Map.of(3, 1), true));
        assertThat(lots.germination(lot, today, batches.files(), 0).mean()).isLessThan(label);
        assertThat(lots.germination(lot, today, batches.files(), file.batch().number())
                        .mean())
                .as("a batch does not vouch for itself")
                .isEqualTo(label);
    }

    private void record(BatchFile file, BatchChange change) {
        recording.record(UUID.randomUUID(), file.batch().number(), null, List.of(change), nursery.hand.id());
    }
}
