package kiver.core.sow;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Crop;
import kiver.core.crop.CropLibraryReader;
import kiver.core.place.Lamps;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceLight;
import kiver.core.place.PlaceUse;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the hand must know of a seed, and who gets on in one tray; with the crops of the library. */
class SowingListTest {

    private static final Container PLUGS = new Container(new ContainerCode("p"), "Plugs", 10, 15, 16, 38, 1);
    private static final Container SHALLOW = new Container(new ContainerCode("s"), "Shallow", 10, 15, 10, 20, 1);
    private static final Place OPEN_PLACE = room(false);
    private static Map<String, Crop> crops;

    private static Place room(boolean keepsMiceOut) {
        return new Place(
                new PlaceId(1),
                "Room",
                1,
                20,
                new PlaceClimate.SetPoints(20, 18),
                new PlaceLight(0.5, Lamps.giving(4)),
                keepsMiceOut,
                Set.of(PlaceUse.EMERGENCE));
    }

    @BeforeAll
    static void read() throws IOException {
        try (Reader file = Files.newBufferedReader(Path.of("..", "library", "crops.csv"))) {
            crops = CropLibraryReader.readCrops("crops.csv", file).stream()
                    .collect(Collectors.toMap(crop -> crop.code().written(), crop -> crop));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "cabbage, ''",
        "celery, FINE",
        "beetroot, SOAKED FILL_LOW CLUSTER",
        "french-bean, CELL_TOO_SHALLOW MICE",
        "cucumber, ON_EDGE FILL_LOW MICE"
    })
    void theHandIsToldWhatMatters(String crop, String handling) {
        assertThat(SeedHandling.of(crops.get(crop), PLUGS, OPEN_PLACE).stream()
                        .map(Enum::name)
                        .collect(Collectors.joining(" ")))
                .isEqualTo(handling);
    }

    @Test
    void whereNoMouseComesInNothingIsSaidOfMice() {
        assertThat(SeedHandling.of(crops.get("pea"), PLUGS, OPEN_PLACE)).contains(SeedHandling.MICE);
        assertThat(SeedHandling.of(crops.get("pea"), PLUGS, room(true))).doesNotContain(SeedHandling.MICE);
    }

    @Test
    void whatGoesTogetherIsProposed() {
        Crop thyme = crops.get("thyme");
        Crop celery = crops.get("celery");
        assertThat(TrayCompany.between(thyme, celery, 20)).contains(new TrayCompany.Water("Thyme", "Celery"));
        List<Crop> others = List.of(thyme, celery, crops.get("cabbage"), crops.get("cauliflower"), crops.get("pepper"));
        assertThat(TrayCompany.fitting(crops.get("cabbage"), others, 18))
                .contains(crops.get("cauliflower"))
                .doesNotContain(crops.get("cabbage"));
        assertThat(TrayCompany.fitting(thyme, others, 18)).doesNotContain(thyme, celery);
    }

    @Test
    void aShallowerCellIsFilledLowSooner() {
        assertThat(SeedHandling.of(crops.get("cabbage"), SHALLOW, OPEN_PLACE)).contains(SeedHandling.FILL_LOW);
    }

    @Test
    void slowAndFastAndWarmAndCoolDoBadlyTogether() {
        Crop cabbage = crops.get("cabbage");
        Crop cauliflower = crops.get("cauliflower");
        Crop parsley = crops.get("parsley");
        assertThat(TrayCompany.between(cabbage, cauliflower, 18)).isEmpty();
        List<TrayCompany> against = TrayCompany.between(parsley, cabbage, 18);
        assertThat(against).isEqualTo(TrayCompany.between(cabbage, parsley, 18));
        assertThat(against)
                .anySatisfy(each -> assertThat(each).isInstanceOfSatisfying(TrayCompany.Speed.class, speed -> {
                    assertThat(speed.slower()).isEqualTo("Parsley");
                    assertThat(speed.daysSlower()).isEqualTo((int) Math.round(
                            parsley.emergence().daysAt(18) - cabbage.emergence().daysAt(18)));
                }));
        // Where one of them would never come up nobody can say how many days it is behind.
        assertThat(TrayCompany.between(cabbage, parsley, 60)).noneMatch(TrayCompany.Speed.class::isInstance);
    }
}
